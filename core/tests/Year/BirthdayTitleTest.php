<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\BirthdayTitle;
use Lottel\Core\Year\OccasionKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BirthdayTitleTest extends TestCase
{
    /** @return iterable<array{string, string, OccasionKind}> */
    public static function titles(): iterable
    {
        yield ['Ann Tern’s birthday', 'Ann Tern', OccasionKind::Birthday];
        yield ["Ann Tern's Birthday", 'Ann Tern', OccasionKind::Birthday];
        yield ['Birthday of Ann Tern', 'Ann Tern', OccasionKind::Birthday];
        yield ['🎂 Ann Tern (1950)', 'Ann Tern', OccasionKind::Birthday];
        yield ['Birthday: Ann Tern', 'Ann Tern', OccasionKind::Birthday];
        yield ['Ann Tern – Birthday', 'Ann Tern', OccasionKind::Birthday];
        yield ['Ann Tern', 'Ann Tern', OccasionKind::Birthday];
        yield ['Silas’ bday', 'Silas', OccasionKind::Birthday];
        yield ['Mr O’Hara’s birthday', 'Mr O’Hara', OccasionKind::Birthday];
        yield ['Wedding anniversary Ann and Silas', 'Ann and Silas', OccasionKind::Anniversary];
        yield ['Birthday', '', OccasionKind::Birthday];
    }

    #[DataProvider('titles')]
    public function testTellsWhoseItIs(string $title, string $person, OccasionKind $kind): void
    {
        $read = BirthdayTitle::read($title);
        self::assertSame([$person, $kind], [$read->person, $read->kind]);
    }
}
