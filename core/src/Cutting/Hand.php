<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** The stock of an arrangement while pieces are laid on it. What the arrangement shares with others is copied before it is changed. */
final class Hand
{
    /** @var array<int, array{int, int, SheetPart, int, bool}> free parts: width, height, the part, whose it is, whether of a scrap */
    public array $free = [];

    /** @var list<array{CutStock, int|null}> stock, and its number in the arrangement while it is still shared */
    private array $stock = [];

    private int $sheetsTaken = 0;

    /** @var array<int, int> */
    private array $wholeTaken = [];

    /**
     * @param list<Piece> $pieces
     * @param list<Stock> $stocks
     * @param int $narrowest free parts with a shorter side are of no use
     */
    public function __construct(
        private readonly Arrangement $arrangement,
        private readonly array $pieces,
        private readonly array $stocks,
        private readonly int $narrowest,
    ) {
        foreach ($arrangement->cuts as $at => $cut) {
            $this->stock[] = [$cut, $at];
            $isScrap = !$stocks[$cut->stock]->isSheet;
            foreach ($cut->free($narrowest) as $part) {
                $this->free[] = [$part->width, $part->height, $part, array_key_last($this->stock), $isScrap];
            }
        }
    }

    public function sheets(): int
    {
        return $this->arrangement->sheets + $this->sheetsTaken;
    }

    public function hasWhole(int $stock): bool
    {
        return $this->arrangement->whole[$stock] > ($this->wholeTaken[$stock] ?? 0);
    }

    /** Takes a whole piece of stock in hand, and returns the number of the free part that it is. */
    public function open(int $stock): int
    {
        $this->take(new CutStock($stock, new SheetPart(0, 0, $this->stocks[$stock]->width, $this->stocks[$stock]->height)));

        return (int) array_key_last($this->free);
    }

    /** Takes stock in hand that is nobody else's. */
    public function take(CutStock $cut): void
    {
        $this->stock[] = [$cut, null];
        $this->wholeTaken[$cut->stock] = ($this->wholeTaken[$cut->stock] ?? 0) + 1;
        $this->sheetsTaken += $this->stocks[$cut->stock]->isSheet ? 1 : 0;
        $this->addFree($cut->root, array_key_last($this->stock));
    }

    /** Returns a free part that may be changed. */
    public function own(int $at): SheetPart
    {
        $owner = $this->free[$at][3];
        [$cut, $number] = $this->stock[$owner];
        if (null !== $number) {
            $this->copy($owner, $cut, $number);
        }

        return $this->free[$at][2];
    }

    /** Replaces a free part by what its cuts leave free. */
    public function cut(int $at, SheetPart $part): void
    {
        $owner = $this->free[$at][3];
        unset($this->free[$at]);
        $this->addFree($part, $owner);
    }

    /** Puts all that was changed into the arrangement. */
    public function putDown(): void
    {
        foreach ($this->stock as [$cut, $number]) {
            if (null === $number) {
                $this->arrangement->put($cut, $this->pieces, $this->stocks[$cut->stock]->isSheet);
            }
        }
    }

    private function copy(int $owner, CutStock $cut, int $number): void
    {
        $copy = new CutStock($cut->stock, $cut->root->copy());
        $this->arrangement->take($number, $this->stocks[$cut->stock]->isSheet);
        $this->wholeTaken[$cut->stock] = ($this->wholeTaken[$cut->stock] ?? 0) + 1;
        $this->sheetsTaken += $this->stocks[$cut->stock]->isSheet ? 1 : 0;
        $this->stock[$owner] = [$copy, null];
        $copies = $copy->root->leaves();
        $places = [];
        foreach ($cut->root->leaves() as $index => $leaf) {
            $places[spl_object_id($leaf)] = $index;
        }
        foreach ($this->free as $at => $entry) {
            if ($entry[3] === $owner) {
                $this->free[$at][2] = $copies[$places[spl_object_id($entry[2])]];
            }
        }
    }

    private function addFree(SheetPart $part, int $owner): void
    {
        $isScrap = !$this->stocks[$this->stock[$owner][0]->stock]->isSheet;
        foreach ($part->leaves() as $leaf) {
            if (null === $leaf->piece && $leaf->width >= $this->narrowest && $leaf->height >= $this->narrowest) {
                $this->free[] = [$leaf->width, $leaf->height, $leaf, $owner, $isScrap];
            }
        }
    }
}
