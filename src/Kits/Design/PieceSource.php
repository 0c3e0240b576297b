<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\CuttingTable;
use App\Kits\Cutting\PieceToCut;
use Lottel\Core\Words\Counted;

/** Out of what the pieces of one part of a design come. */
final readonly class PieceSource
{
    /**
     * @param int $lacking for how many there is no paper
     * @param list<string> $addresses where it is taken from
     */
    private function __construct(
        public int $wanted,
        public int $ready,
        public int $scraps,
        public int $sheets,
        public int $lacking,
        public array $addresses,
    ) {
    }

    public static function of(PieceToCut $piece, CuttingTable $table): self
    {
        $counts = ['ready' => 0, 'scraps' => 0, 'sheets' => 0];
        $addresses = [];
        foreach ($table->sheets as $row) {
            if (0 === ($row->sheet()->root->pieces()[(int) $piece->id] ?? 0)) {
                continue;
            }
            ++$counts[$row->sheet()->isReady() ? 'ready' : ($row->isWhole() ? 'sheets' : 'scraps')];
            $addresses[] = $row->item->home?->address;
        }

        return new self(
            $piece->quantity,
            $counts['ready'],
            $counts['scraps'],
            $counts['sheets'],
            $table->lacking($piece),
            array_values(array_unique(array_filter($addresses, is_string(...)))),
        );
    }

    /** Returns it in a few words, such as `3 sheets` or `12 ready`. */
    public function inWords(): string
    {
        $from = array_filter([
            0 === $this->ready ? '' : $this->ready.' ready',
            0 === $this->scraps ? '' : Counted::of($this->scraps, 'scrap'),
            0 === $this->sheets ? '' : Counted::of($this->sheets, 'sheet'),
        ], static fn (string $part): bool => '' !== $part);

        return implode(', ', $from);
    }
}
