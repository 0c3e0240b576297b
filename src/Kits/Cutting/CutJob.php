<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\SheetInWork;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\WorkPart;

/** What of a kit's pieces is still to be planned, and what they may come out of. Pieces and stock of one paper have one key. */
final class CutJob
{
    /** @var array<int, int> how many of each piece are lacking, by its number */
    public array $lacking = [];

    /** @var array<int, StockSheet> what is cut, by item */
    private array $stock = [];

    /** @var array<int, string> by item */
    private array $keys = [];

    /** @var array<int, string> by piece */
    private array $pieceKeys = [];

    /** @var list<array{int, SheetInWork}> what is ready and taken as it is: the item, and the piece that it is */
    public array $ready = [];

    /**
     * @param array<int, PieceToCut> $pieces by number
     * @param array<int, SheetOnTable> $kept sheets that are begun, or done, by number
     */
    public function __construct(private readonly array $pieces, public readonly array $kept)
    {
        foreach ($pieces as $number => $piece) {
            $there = array_sum(array_map(static fn (SheetOnTable $row): int => $row->sheet()->root->pieces()[$number] ?? 0, $kept));
            $this->lacking[$number] = max(0, $piece->quantity - $there);
        }
    }

    /** @param list<StockSheet> $sheets what of it a piece may come out of */
    public function offer(PieceToCut $piece, array $sheets, bool $isAhead): void
    {
        $key = 'paper '.$piece->paper->id;
        foreach ($sheets as $sheet) {
            if ($sheet->isReady($piece) && !$isAhead) {
                $this->takeReady($piece, $sheet);
            } elseif ($sheet->isCutFor($piece)) {
                $this->stock[$sheet->id] = $sheet;
                $this->join($this->keys[$sheet->id] ?? $key, $key);
                $this->keys[$sheet->id] = $key;
            }
        }
        $this->pieceKeys[(int) $piece->id] = $key;
    }

    /** @return array<int, Piece> */
    public function pieces(): array
    {
        $pieces = [];
        foreach (array_filter($this->lacking, static fn (int $many): bool => $many > 0) as $number => $many) {
            $pieces[$number] = $this->pieces[$number]->planned($many, $this->pieceKeys[$number]);
        }

        return $pieces;
    }

    /** @return array<int, Stock> by item */
    public function stocks(): array
    {
        $stocks = [];
        foreach ($this->stock as $item => $sheet) {
            if ($sheet->available > 0) {
                $stocks[$item] = $sheet->planned($this->keys[$item]);
            }
        }

        return $stocks;
    }

    /** @return array<int, array{SheetInWork, string}> what is begun and not done, with its paper */
    public function inWork(): array
    {
        $inWork = [];
        foreach ($this->kept as $number => $row) {
            $key = $this->keys[(int) $row->item->id] ?? null;
            if (!$row->isLogged && null !== $key) {
                $inWork[$number] = [$row->sheet(), $key];
            }
        }

        return $inWork;
    }

    private function takeReady(PieceToCut $piece, StockSheet $sheet): void
    {
        $number = (int) $piece->id;
        $taken = \count(array_filter($this->ready, static fn (array $ready): bool => $ready[0] === $sheet->id));
        for ($many = min($sheet->available - $taken, $this->lacking[$number]); $many > 0; --$many) {
            --$this->lacking[$number];
            $this->ready[] = [$sheet->id, SheetInWork::of(WorkPart::whole($piece->width, $piece->height)->asPiece($number, false))];
        }
    }

    private function join(string $old, string $new): void
    {
        $rename = static fn (string $key): string => $key === $old ? $new : $key;
        $this->keys = array_map($rename, $this->keys);
        $this->pieceKeys = array_map($rename, $this->pieceKeys);
    }
}
