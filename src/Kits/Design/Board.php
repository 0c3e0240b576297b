<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\CuttingTable;
use App\Kits\Cutting\PieceToCut;
use Lottel\Core\Colour\FrontColour;
use Lottel\Core\Colour\FrontColours;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\KeptDesign;
use Lottel\Core\Design\PageFinding;
use Lottel\Core\Design\PlacedLayer;
use Lottel\Core\Measure\Length;

/** A kit's design as its board shows it. */
final readonly class Board
{
    /**
     * @param list<BoardRow> $rows from the uppermost down
     * @param list<PlacedLayer> $front of a card, from the bottom up
     * @param list<ThingOnBoard> $things
     * @param list<EnvelopeChoice> $envelopes
     * @param list<PageFinding> $findings
     * @param array<int, PaperOnBoard> $papers by item
     * @param list<TargetColour> $targets colours that it aims at
     * @param float $uncoloured the share of the front of which no colour is known, photos above all
     */
    public function __construct(
        public Design $design,
        public int $revision,
        public ?Pattern $pattern,
        public array $rows,
        public array $front,
        public array $things,
        public array $envelopes,
        public array $findings,
        public array $papers,
        public FrontColours $colours,
        public float $uncoloured,
        public int $thickness,
        public CuttingTable $table,
        public array $targets,
    ) {
    }

    /** Whether its pattern says the same. */
    public function isAsPattern(): bool
    {
        return null !== $this->pattern && KeptDesign::of($this->pattern->design()) === KeptDesign::of($this->design);
    }

    /** How many things it speaks of that are not in the catalogue any more, so that they are not on the list. */
    public function goneThings(): int
    {
        return \count($this->design->things) - \count($this->things);
    }

    /** The envelope that is chosen; null where none is. */
    public function envelope(): ?EnvelopeChoice
    {
        $items = array_map(static fn (ThingOnBoard $on): int => $on->thing->item, $this->things);

        return array_values(array_filter($this->envelopes, static fn (EnvelopeChoice $choice): bool => \in_array($choice->item, $items, true)))[0] ?? null;
    }

    public function thick(): Length
    {
        return Length::ofTicks($this->thickness);
    }

    /** Returns the name of its finished size; empty where it has none. */
    public function sizeName(): string
    {
        return $this->design->form->isFolded() ? CardSize::of($this->design->finished)->value ?? '' : '';
    }

    /** How many pieces are cut for it. */
    public function pieces(): int
    {
        $ofDesign = array_filter($this->table->pieces, static fn (PieceToCut $piece): bool => null !== $piece->part);

        return array_sum(array_map(static fn (PieceToCut $piece): int => $piece->quantity, $ofDesign));
    }

    /** @return list<BoardRow> rows of what is cut, those of mats with them */
    public function all(): array
    {
        return array_merge([], ...array_map(static fn (BoardRow $row): array => [$row, ...$row->mats], $this->rows));
    }

    /** How many of its lines are at hand. */
    public function atHand(): int
    {
        return $this->lines() - $this->short();
    }

    public function lines(): int
    {
        return \count(array_filter($this->all(), static fn (BoardRow $row): bool => null !== $row->piece)) + \count($this->things);
    }

    public function short(): int
    {
        return \count(array_filter($this->all(), static fn (BoardRow $row): bool => null !== $row->piece && $row->isShort()))
            + \count(array_filter($this->things, static fn (ThingOnBoard $thing): bool => $thing->isShort()));
    }

    /** @return list<PageFinding> what is to be mended about a block */
    public function findingsOf(int $block): array
    {
        return array_values(array_filter($this->findings, static fn (PageFinding $finding): bool => $finding->block === $block));
    }

    public function block(int $id): string
    {
        return $this->design->block($id)->name;
    }

    /** The colour of which least is seen and that stands out; null where none does. */
    public function accent(): ?FrontColour
    {
        return $this->colours->accent();
    }
}
