<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Room\Catalogue\Item;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Cutting\CutYield;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\Size;
use Lottel\Core\Words\Counted;

/** What was logged when sheets were done: gathered, and told. */
final class LoggedCuts
{
    private int $sheets = 0;
    private int $scraps = 0;
    private float $waste = 0;

    /** @var array<string, int> by name */
    private array $pieces = [];

    /** @var array<int, array{Item, int}> */
    private array $offcuts = [];

    public function sheets(Item $paper, CutYield $yield): void
    {
        $this->sheets += $yield->sheets;
        $this->scraps += Kind::Scrap === $paper->kind ? $yield->sheets : 0;
        $this->waste += $yield->waste() * $yield->sheets;
    }

    public function piece(PieceToCut $piece, int $many): void
    {
        $this->pieces[$piece->name] = ($this->pieces[$piece->name] ?? 0) + $many;
    }

    public function offcut(Item $scrap, int $many): void
    {
        $this->offcuts[(int) $scrap->id] = [$scrap, ($this->offcuts[(int) $scrap->id][1] ?? 0) + $many];
    }

    public function isNothing(): bool
    {
        return 0 === $this->sheets;
    }

    /** Returns what became of them, in one sentence. */
    public function sentence(LengthFormat $lengths): string
    {
        $pieces = array_map(Counted::of(...), array_values($this->pieces), array_keys($this->pieces));
        $offcuts = array_map(static function (array $kept) use ($lengths): string {
            [$scrap, $many] = $kept;
            $size = $scrap->sheet->sheet()->size ?? Size::ofTicks(1, 1);
            $number = $many > 1 ? $many.' × ' : '';

            return \sprintf('%s%s to %s', $number, $lengths->sides($size->width, $size->height), $scrap->home->address ?? 'what is not filed');
        }, array_values($this->offcuts));
        $said = ([] === $pieces ? '' : Counted::names($pieces, 'kind').' on the tray')
            .([] === $offcuts ? '' : ([] === $pieces ? '' : '; ').'kept: '.implode(', ', $offcuts));

        $what = array_filter([
            0 === $this->scraps ? '' : Counted::of($this->scraps, 'scrap'),
            $this->scraps === $this->sheets ? '' : Counted::of($this->sheets - $this->scraps, 'sheet'),
        ], static fn (string $part): bool => '' !== $part);

        return \sprintf(
            '%s %s cut. %swaste %s %%.',
            Counted::names(array_values($what)),
            Counted::verb($this->sheets),
            '' === $said ? '' : ucfirst($said).', ',
            number_format(100 * $this->waste / max(1, $this->sheets), 1),
        );
    }
}
