<?php

declare(strict_types=1);

namespace App\Tests\Kits\Rounds;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class StampCareTest extends RoomTestCase
{
    /** @return iterable<string, array{list<string>, string}> */
    public static function inks(): iterable
    {
        yield 'dye ink alone' => [['Petrel dye ink cube'], 'damp cloth: only Petrel dye ink cube was with them'];
        yield 'pigment ink too' => [['Petrel dye ink cube', 'White pigment ink'], 'solvent cleaner and some rubbing: White pigment ink was with them'];
        yield 'an ink of which nobody knows' => [['Petrel dye ink cube', 'Gorse cube'], 'of Gorse cube nobody has said'];
        yield 'no ink' => [[], 'a damp cloth for dye ink, solvent cleaner for pigment'];
    }

    /** @param list<string> $names */
    #[DataProvider('inks')]
    public function testStampsAreCleanedAfterTheInkThatWasWithThem(array $names, string $said): void
    {
        $this->furnish();
        $inks = [] === $names ? [] : $this->putInto('C3', ...array_map(static fn (string $name): string => $name.'; ; half', $names));
        [$stamps] = $this->putInto('C1', 'Terns; ; 1');
        $kit = $this->planKit('Terns', array_map(static fn (Item $item): array => [$item, 1], [...$inks, $stamps]));
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach (array_filter(['C3' => $inks, 'C1' => [$stamps]], static fn (array $items): bool => [] !== $items) as $place => $items) {
            $needs = array_map(fn (Item $item): int => $this->needId($kit, $item), $items);
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => $place, 'needs' => $needs]);
        }
        $this->postAndFollow("/kits/{$kit}/return");
        foreach ($inks as $ink) {
            $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [(string) $ink->id], 'address' => 'C3']);
        }
        self::assertStringContainsString($said, $this->get("/kits/{$kit}/return")->text(), 'also when the ink is home already');
    }
}
