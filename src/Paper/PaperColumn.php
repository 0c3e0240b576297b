<?php

declare(strict_types=1);

namespace App\Paper;

use Lottel\Core\Colour\Srgb;

/** All paper of one colour side by side with its scraps; a paper without a colour stands by itself. */
final class PaperColumn
{
    public int $sheets = 0;

    /** @var list<PaperRow> */
    public array $scraps = [];

    /** @var list<PaperRow> */
    public array $papers = [];

    public function __construct(public readonly string $label, public readonly ?string $colour)
    {
    }

    public function add(PaperRow $row): void
    {
        if ($row->isScrap()) {
            $this->scraps[] = $row;

            return;
        }
        $this->papers[] = $row;
        $this->sheets += $row->quantity;
    }

    /** What is asked for where it is touched. */
    public function asks(): string
    {
        return null === $this->colour ? '' : $this->label;
    }

    public function srgb(): ?Srgb
    {
        return null === $this->colour ? null : Srgb::ofHex($this->colour);
    }

    public function scrapsInAll(): int
    {
        return array_sum(array_map(static fn (PaperRow $row): int => $row->quantity, $this->scraps));
    }
}
