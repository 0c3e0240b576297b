<?php

declare(strict_types=1);

namespace App\Tests;

use Lottel\Core\Tests\Arrows;
use PHPUnit\Framework\TestCase;

final class ArrowsTest extends TestCase
{
    /** What an area may know of. A new arrow is written down here on purpose, or it is not drawn. */
    private const ALLOWED = [
        'Backup' => ['Database', 'Log', 'Steps', 'Web'],
        'Bench' => ['Database', 'Demo', 'People', 'Stores'],
        'Catalogue' => ['Database', 'Log', 'Steps', 'Stores', 'Web'],
        'Console' => [],
        'Counting' => ['Catalogue', 'Database', 'Errands', 'Log', 'Paper', 'Security', 'Steps', 'Stores', 'Web'],
        'Cutting' => ['Catalogue', 'Database', 'Kits', 'Labels', 'Log', 'Paper', 'Steps', 'Stores', 'Web'],
        'Database' => [],
        'Demo' => [
            'Catalogue', 'Counting', 'Cutting', 'Database', 'Design', 'Find', 'Kits', 'Lending', 'Making', 'People', 'Rounds', 'Security', 'Shelf', 'Steps',
            'Stores', 'Workshop',
            'Year',
        ],
        'Design' => ['Catalogue', 'Cutting', 'Database', 'Kits', 'Paper', 'Steps', 'Stores', 'Web'],
        'Devices' => ['Database', 'Labels', 'Lan', 'Security', 'Steps', 'Stores', 'Web'],
        'Errands' => ['Catalogue', 'Kits', 'Log', 'Rounds', 'Steps', 'Stores', 'Web'],
        'Exchange' => ['Backup', 'Catalogue', 'Database', 'Find', 'Log', 'People', 'Security', 'Web'],
        'Figures' => ['Database', 'Web'],
        'Filling' => ['Catalogue', 'Database', 'Stores', 'Web'],
        'Find' => ['Catalogue', 'Database', 'Labels', 'Steps', 'Stores', 'Web'],
        'Handing' => ['Database', 'Errands', 'Kits', 'People', 'Security', 'Steps', 'Web'],
        'Health' => ['Backup', 'Database', 'Log', 'Web'],
        'Idle' => ['Catalogue', 'Database', 'Errands', 'Log', 'Steps', 'Stores', 'Web'],
        'Kits' => ['Catalogue', 'Database', 'Find', 'Log', 'Steps', 'Stores', 'Web'],
        'Labels' => ['Catalogue', 'Database', 'Steps', 'Stores', 'Web'],
        'Lan' => ['Web'],
        'Lending' => ['Catalogue', 'Database', 'Kits', 'Log', 'Steps', 'Stores', 'Web', 'Year'],
        'Lost' => ['Catalogue', 'Database', 'Errands', 'Steps', 'Stores', 'Web'],
        'Lists' => ['Database', 'Web'],
        'Log' => ['Database', 'Steps', 'Stores', 'Web'],
        'Lying' => ['Catalogue', 'Database', 'Errands', 'Kits', 'Rounds', 'Steps', 'Stores', 'Web'],
        'Making' => ['Catalogue', 'Database', 'Design', 'Find', 'Kits', 'Log', 'Rounds', 'Steps', 'Stores', 'Web'],
        'Moving' => ['Catalogue', 'Database', 'Errands', 'Rehoming', 'Steps', 'Stores', 'Web'],
        'Paper' => ['Catalogue', 'Database', 'Kits', 'Steps', 'Stores', 'Web'],
        'People' => ['Security', 'Steps', 'Stores', 'Web'],
        'Propose' => ['Catalogue', 'Database', 'Design', 'Kits', 'Steps', 'Stores', 'Web'],
        'Restock' => ['Catalogue', 'Database', 'Kits', 'Steps', 'Web', 'Year'],
        'Rehoming' => ['Catalogue', 'Database', 'Errands', 'Steps', 'Stores', 'Web'],
        'Rounds' => ['Catalogue', 'Database', 'Find', 'Kits', 'Labels', 'Log', 'Steps', 'Stores', 'Web'],
        'Schema' => ['Catalogue', 'Kits', 'Security', 'Stores'],
        'Seasons' => ['Catalogue', 'Database', 'Errands', 'Rehoming', 'Steps', 'Stores', 'Web', 'Year'],
        'Security' => ['Database'],
        'Shelf' => ['Catalogue', 'Database', 'Kits', 'Log', 'Steps', 'Stores', 'Web', 'Year'],
        'Stash' => ['Catalogue', 'Database', 'Security', 'Steps', 'Stores', 'Web'],
        'Steps' => ['Database', 'Security'],
        'Stores' => ['Database', 'Steps', 'Web'],
        'Swatches' => ['Database', 'Design', 'Kits', 'Steps', 'Web'],
        'Undo' => ['Catalogue', 'Database', 'Find', 'Log', 'Security', 'Steps', 'Stores', 'Web'],
        'Upkeep' => [
            'Backup', 'Catalogue', 'Counting', 'Errands', 'Filling', 'Lost', 'Lying', 'People', 'Rehoming', 'Seasons', 'Security', 'Steps', 'Stores', 'Web',
        ],
        'Web' => ['Database', 'Security', 'Steps'],
        'Workshop' => ['Catalogue', 'Cutting', 'Database', 'Kits', 'Log', 'Making', 'Rounds', 'Steps', 'Stores', 'Web'],
        'Year' => ['Catalogue', 'Database', 'Design', 'Kits', 'Security', 'Steps', 'Stores', 'Web'],
    ];

    public function testTheAreasKnowOfEachOtherOneWay(): void
    {
        $arrows = self::arrows();
        self::assertEqualsCanonicalizing(array_keys(self::ALLOWED), array_keys($arrows->from));
        foreach ($arrows->from as $area => $known) {
            self::assertSame([], array_diff($known, self::ALLOWED[$area]), "{$area} knows too much");
            self::assertSame([], array_diff(self::ALLOWED[$area], $known), "{$area} need not know so much");
        }
        self::assertGreaterThan(4, \count($arrows->layers()), 'no circle');
    }

    public function testTheDrawingIsThatOfTheCode(): void
    {
        $drawn = (string) file_get_contents(\dirname(__DIR__).'/docs/arrows.md');
        self::assertStringContainsString(self::arrows()->drawing('The application'), $drawn, 'Run bin/draw.');
    }

    private static function arrows(): Arrows
    {
        return Arrows::read(\dirname(__DIR__).'/src', 'App');
    }
}
