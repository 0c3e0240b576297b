<?php

declare(strict_types=1);

namespace App\Tests;

use Lottel\Core\Tests\Arrows;
use PHPUnit\Framework\TestCase;

final class ArrowsTest extends TestCase
{
    /** What an area may know of. A new arrow is written down here on purpose, or it is not drawn. */
    private const ALLOWED = [
        'Calendar/Lending' => [
            'Calendar/Year', 'Platform/Database', 'Platform/Steps', 'Platform/Story', 'Platform/Web', 'Room/Catalogue', 'Room/Log', 'Room/Stores',
        ],
        'Calendar/Shelf' => [
            'Calendar/Year', 'Kits/Kits', 'Platform/Database', 'Platform/Steps', 'Platform/Story', 'Platform/Web', 'Room/Catalogue', 'Room/Log',
            'Room/Stores', 'Room/Undo',
        ],
        'Calendar/Year' => [
            'Kits/Design', 'Kits/Kits', 'Platform/Database', 'Platform/Security', 'Platform/Steps', 'Platform/Story', 'Platform/Web',
            'Room/Catalogue', 'Room/Stores', 'Room/Undo',
        ],
        'Kits/Cutting' => [
            'Kits/Kits', 'Kits/Paper', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Labels', 'Room/Log',
            'Room/Stores',
        ],
        'Kits/Design' => [
            'Kits/Cutting', 'Kits/Kits', 'Kits/Paper', 'Platform/Database', 'Platform/Steps', 'Platform/Story', 'Platform/Web', 'Room/Catalogue',
            'Room/Stores',
        ],
        'Kits/Kits' => [
            'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Find', 'Room/Log', 'Room/Stores', 'Room/Undo',
        ],
        'Kits/Making' => [
            'Kits/Design', 'Kits/Kits', 'Kits/Rounds', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Find',
            'Room/Log', 'Room/Stores',
        ],
        'Kits/Paper' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores'],
        'Kits/Propose' => ['Kits/Design', 'Kits/Kits', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores'],
        'Kits/Rounds' => [
            'Kits/Kits', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Find', 'Room/Labels', 'Room/Log',
            'Room/Stores',
        ],
        'Kits/Swatches' => ['Kits/Design', 'Kits/Kits', 'Platform/Database', 'Platform/Steps', 'Platform/Web'],
        'Kits/Tale' => ['Kits/Cutting', 'Kits/Kits', 'Kits/Making', 'Kits/Rounds', 'Platform/Steps', 'Platform/Story', 'Room/Catalogue', 'Room/Stores'],
        'Kits/Workshop' => [
            'Kits/Cutting', 'Kits/Kits', 'Kits/Making', 'Kits/Rounds', 'Platform/Database', 'Platform/Steps', 'Platform/Story', 'Platform/Web',
            'Room/Catalogue', 'Room/Log', 'Room/Stores',
        ],
        'People/Accounts' => ['Platform/Security', 'Platform/Steps', 'Platform/Web', 'Room/Stores'],
        'People/Handover' => [
            'Kits/Kits', 'People/Accounts', 'Platform/Database', 'Platform/Security', 'Platform/Steps', 'Platform/Web', 'Upkeep/Rounds',
        ],
        'Platform/Backup' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Log'],
        'Platform/Bench' => ['People/Accounts', 'Platform/Database', 'Platform/Demo', 'Room/Stores'],
        'Platform/Console' => [],
        'Platform/Database' => [],
        'Platform/Demo' => [
            'People/Accounts', 'Platform/Database', 'Platform/Security', 'Platform/Steps', 'Platform/Story', 'Room/Catalogue', 'Room/Find',
            'Room/Stores',
        ],
        'Platform/Devices' => [
            'Platform/Database', 'Platform/Lan', 'Platform/Security', 'Platform/Steps', 'Platform/Web', 'Room/Labels', 'Room/Stores',
        ],
        'Platform/Exchange' => [
            'People/Accounts', 'Platform/Backup', 'Platform/Database', 'Platform/Security', 'Platform/Web', 'Room/Catalogue', 'Room/Find',
            'Room/Log',
        ],
        'Platform/Health' => ['Platform/Backup', 'Platform/Database', 'Platform/Web', 'Room/Log'],
        'Platform/Lan' => ['Platform/Web'],
        'Platform/Security' => ['Platform/Database'],
        'Platform/Steps' => ['Platform/Database', 'Platform/Security'],
        'Platform/Story' => ['Platform/Security', 'Platform/Steps'],
        'Platform/Web' => ['Platform/Database', 'Platform/Security', 'Platform/Steps'],
        'Room/Catalogue' => ['Platform/Database', 'Platform/Steps', 'Platform/Story', 'Platform/Web', 'Room/Log', 'Room/Stores'],
        'Room/Find' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Labels', 'Room/Stores'],
        'Room/Labels' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores'],
        'Room/ListImport' => ['Platform/Database', 'Platform/Security', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores'],
        'Room/Lists' => ['Platform/Database', 'Platform/Web'],
        'Room/Log' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Stores'],
        'Room/Stores' => ['Platform/Database', 'Platform/Steps', 'Platform/Web'],
        'Room/Undo' => [
            'Platform/Database', 'Platform/Security', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Find', 'Room/Log', 'Room/Stores',
        ],
        'Upkeep/Capacity' => ['Platform/Database', 'Platform/Web', 'Room/Catalogue', 'Room/Stores'],
        'Upkeep/Counting' => [
            'Kits/Paper', 'Platform/Database', 'Platform/Security', 'Platform/Steps', 'Platform/Story', 'Platform/Web', 'Room/Catalogue', 'Room/Log',
            'Room/Stores', 'Upkeep/Rounds',
        ],
        'Upkeep/Figures' => ['Platform/Database', 'Platform/Web'],
        'Upkeep/Lost' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores', 'Upkeep/Rounds'],
        'Upkeep/Moving' => [
            'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores', 'Upkeep/Rehoming', 'Upkeep/Rounds',
        ],
        'Upkeep/Overview' => [
            'Platform/Backup', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores', 'Upkeep/Capacity', 'Upkeep/Counting',
            'Upkeep/Lost', 'Upkeep/PutAway', 'Upkeep/Rehoming', 'Upkeep/Rounds', 'Upkeep/Seasons',
        ],
        'Upkeep/PutAway' => [
            'Kits/Kits', 'Kits/Rounds', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores', 'Upkeep/Rounds',
        ],
        'Upkeep/Rehoming' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores', 'Upkeep/Rounds'],
        'Upkeep/Restock' => ['Calendar/Year', 'Kits/Kits', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue'],
        'Upkeep/Rounds' => [
            'Kits/Kits', 'Kits/Rounds', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Log', 'Room/Stores',
            'Room/Undo',
        ],
        'Upkeep/Seasons' => [
            'Calendar/Year', 'Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Stores', 'Upkeep/Rehoming',
            'Upkeep/Rounds',
        ],
        'Upkeep/Weeding' => ['Platform/Database', 'Platform/Steps', 'Platform/Web', 'Room/Catalogue', 'Room/Log', 'Room/Stores', 'Upkeep/Rounds'],
    ];

    /** Tables of an area above that an area below reads: still to be turned round. None is added. */
    private const TABLES_ABOVE = [
        'Calendar/Year' => [
            'Calendar/Shelf: gift',
        ],
        'Platform/Database' => [
            'Platform/Steps: step_change',
            'Room/Log: movement',
        ],
        'Platform/Web' => [
            'Room/Stores: room',
        ],
        'Room/Catalogue' => [
            'Kits/Kits: kit, kit_holder, need',
        ],
        'Room/Labels' => [
            'Kits/Kits: folder, kit',
        ],
        'Room/Log' => [
            'Kits/Cutting: cut, cut_part',
            'Kits/Kits: kit, kit_holder',
            'Room/Catalogue: item, retracking',
        ],
        'Room/Stores' => [
            'Kits/Kits: folder, kit, kit_holder',
            'Room/Catalogue: item',
            'Room/Log: balance',
        ],
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

    public function testTablesAndTemplatesAreTakenFromBelowButForThoseThatAreNamed(): void
    {
        $reaches = new Reaches(\dirname(__DIR__));
        self::assertGreaterThan(60, \count($reaches->owners()));
        $arrows = self::arrows();
        foreach ([[$reaches->tables(), self::TABLES_ABOVE], [$reaches->templates(), []]] as [$found, $named]) {
            $below = [];
            foreach ($found as $area => $words) {
                $above = array_values(array_filter($words, static fn (string $one): bool => $arrows->knows(strstr($one, ':', true) ?: '', $area)));
                self::assertSame($named[$area] ?? [], $above, $area);
                $below[$area] = array_map(static fn (string $one): string => strstr($one, ':', true) ?: '', array_values(array_diff($words, $above)));
            }
            self::assertSame([], array_diff_key($named, $found), 'named, and not there any more');
            $arrows = $arrows->and($below);
        }
        self::assertGreaterThan(4, \count($arrows->layers()), 'no circle of classes, tables and templates together');
    }

    private static function arrows(): Arrows
    {
        return Arrows::read(\dirname(__DIR__).'/src', 'App', 2);
    }
}
