<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Room\Catalogue\Collections;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\KitOfItem;
use App\Room\Catalogue\ThingLine;
use App\Tests\RoomTestCase;

/** What of the catalogue is read, in a small room in which each condition matters. */
final class ItemReadingTest extends RoomTestCase
{
    private Item $card;
    private Item $vellum;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card, $this->vellum] = $this->putInto('C2', 'Petrel card;;24', 'Petrel vellum;;2');
        foreach ([$this->card, $this->vellum] as $item) {
            $item->describe($item->record()->with(collection: 'Salt line'));
        }
        $this->entities()->flush();
    }

    public function testACollectionHasWhatIsThere(): void
    {
        $names = fn (): array => array_map(
            static fn (array $things): array => array_map(static fn (ThingLine $one): string => $one->name, $things),
            $this->service(Collections::class)->all(),
        );
        self::assertSame(['Salt line' => ['Petrel card', 'Petrel vellum']], $names());
        $this->undoneThing($this->vellum);
        self::assertSame(['Salt line' => ['Petrel card']], $names());
    }

    public function testAKitThatIsOutOfSightWantsNothing(): void
    {
        $this->planKit('Gulls', [[$this->card, 1]]);
        $gone = $this->planKit('Menus', [[$this->card, 1]]);
        $this->planKit('Terns', [[$this->vellum, 1]]);
        $this->database()->executeStatement("UPDATE kit SET removed_at = '2026-03-01 10:00:00' WHERE id = ?", [$gone]);
        $kits = $this->service(ItemReading::class)->kitsOf((int) $this->card->id);
        self::assertSame(['Gulls'], array_map(static fn (KitOfItem $kit): string => $kit->name, $kits));
    }
}
