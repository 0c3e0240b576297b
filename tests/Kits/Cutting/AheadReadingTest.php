<?php

declare(strict_types=1);

namespace App\Tests\Kits\Cutting;

use App\Kits\Cutting\AheadReading;
use App\Kits\Cutting\AheadRow;
use App\Kits\Cutting\NamedPapers;
use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use Lottel\Core\Cutting\InvalidPieces;

/** What is kept ready-cut, and papers by their names, in a small room in which each condition matters. */
final class AheadReadingTest extends RoomTestCase
{
    private Item $card;
    private Item $panels;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card] = $this->putInto('C2', 'Petrel card; ; 24; ; #1f5c6b; 8 1/2 × 11; 80 lb cover');
        [$this->panels] = $this->putInto('C4', 'Wrasse panels; ; 3; ; #1f5c6b; 4 1/4 × 5 1/2; 80 lb cover');
        $this->panels->traceTo($this->card);
        $this->entities()->flush();
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_map(static fn (AheadRow $row): string => $row->name, $this->service(AheadReading::class)->rows());
    }

    public function testOnlyWhatIsCountedAndThereIsKeptAhead(): void
    {
        [$roll, $gone] = $this->putInto('C4', 'Panel roll; ; 3 yd', 'Gone panels; ; 2; ; #1f5c6b; 4 × 4');
        foreach ([$roll, $gone] as $item) {
            $item->traceTo($this->item((int) $this->card->id));
        }
        $this->entities()->flush();
        $this->database()->executeStatement("UPDATE item SET kind = 'paper' WHERE id = ?", [$roll->id]);
        $this->undoneThing($gone);
        self::assertSame(['Wrasse panels'], $this->names());
        $this->undoneThing($this->card);
        self::assertSame([], $this->names(), 'of a paper that is gone nothing is cut any more');
    }

    public function testWhatWasCutIsNoPaperToCutFrom(): void
    {
        $papers = $this->service(NamedPapers::class);
        self::assertSame(['Petrel card'], $papers->names());
        self::assertSame([(int) $this->card->id => 'Petrel card'], $papers->choices());
        $this->expectException(InvalidPieces::class);
        $papers->named('wrasse');
    }
}
