<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Homes;

use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Homes\FiledScraps;
use Lottel\Core\Homes\OffcutHome;
use Lottel\Core\Homes\OffcutSchool;
use PHPUnit\Framework\TestCase;

final class OffcutHomeTest extends TestCase
{
    private static function lab(string $hex): Lab
    {
        return Lab::of(Srgb::ofHex($hex));
    }

    public function testTheSchoolOfTheRoomSaysWhereAnOffcutGoes(): void
    {
        $petrel = self::lab('#1f5c6b');
        $filed = [
            new FiledScraps(1, 50, self::lab('#205d6d'), 'Two Bollards', 'Harbour', 3),
            new FiledScraps(2, 51, self::lab('#c8372d'), 'Oddling', 'Harbour', 9),
            new FiledScraps(3, 52, self::lab('#2a6776'), 'Oddling', 'Harvest', 20),
            new FiledScraps(4, 53, self::lab('#eeeeee'), 'Oddling', 'Storm', 2),
        ];
        $offcut = new FiledScraps(null, 60, $petrel, 'Oddling', 'Storm');
        $home = static fn (OffcutSchool $school): ?int => OffcutHome::of($school, $offcut, 9, $filed);
        self::assertSame(1, $home(OffcutSchool::Colour), 'its own colour before one like it, however many those are');
        self::assertSame(3, $home(OffcutSchool::Maker), 'where most of its maker are');
        self::assertSame(4, $home(OffcutSchool::Collection));
        self::assertSame(9, $home(OffcutSchool::Parent), 'where the paper itself lives');
        self::assertSame('beside the paper it comes from', OffcutSchool::Parent->words());
    }

    public function testWhereTheSchoolSaysNothingItsLikeDoes(): void
    {
        $filed = [new FiledScraps(1, 50, self::lab('#c8372d'), '', '', 4), new FiledScraps(2, 60, null, '', '', 1)];
        $offcut = new FiledScraps(null, 60, self::lab('#1f5c6b'), '', '');
        self::assertSame(2, OffcutHome::of(OffcutSchool::Maker, $offcut, null, $filed), 'with others of its paper');
        self::assertNull(OffcutHome::of(OffcutSchool::Colour, new FiledScraps(null, 99, self::lab('#22aa22'), '', ''), null, $filed));
    }
}
