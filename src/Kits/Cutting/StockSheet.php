<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\PaperWish;
use Lottel\Core\Cutting\ReadyCut;
use Lottel\Core\Cutting\SamePaper;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;

/** A paper, scrap or ready-cut panel out of which a kit's pieces may come, and how many of it the kit can have. */
final readonly class StockSheet
{
    private function __construct(
        public int $id,
        private string $name,
        private Kind $kind,
        private ?int $parent,
        private Size $size,
        private ?Direction $direction,
        private ?Lab $colour,
        private ?Grammage $weight,
        public int $available,
    ) {
    }

    public static function of(Row $row, OwnPapers $own): ?self
    {
        $sheet = SheetColumns::read($row);
        $colour = $row->textOrNull('colour');

        return null === $sheet->size ? null : new self(
            $row->int('id'),
            $row->text('name'),
            $row->one('kind', Kind::class),
            $row->intOrNull('parent_id'),
            $sheet->size,
            $sheet->direction,
            null === $colour ? null : Lab::of(Srgb::ofHex($colour)),
            $sheet->weight,
            $own->forCuts($row->int('id'), $row->int('here'), $row->int('wanted')),
        );
    }

    /** Whether it is a sheet as it was bought, and not something that was cut from one. */
    public function isWhole(): bool
    {
        return $this->kind->isBoughtSheet(null !== $this->parent);
    }

    /** Whether it is of the paper that a piece wants, and is cut up. */
    public function isCutFor(PieceToCut $piece): bool
    {
        $isWholeWanted = $this->isWhole() && PaperWish::Scraps !== $piece->wish;

        return (Kind::Scrap === $this->kind || $isWholeWanted) && $this->isOfPaper($piece);
    }

    /** Whether it was cut ahead of time and is what is wanted. */
    public function isReady(PieceToCut $piece): bool
    {
        return Kind::Scrap !== $this->kind && !$this->isWhole() && $this->isOfPaper($piece)
            && ReadyCut::is($this->size, $this->name, $piece->size(), $piece->mayTurn, [] !== $piece->creases());
    }

    private function isOfPaper(PieceToCut $piece): bool
    {
        $paper = $piece->paper;
        $colour = null === $paper->colour ? null : Lab::of(Srgb::ofHex($paper->colour));

        if (\in_array($paper->id, [$this->id, $this->parent], true)) {
            return true;
        }
        $weight = $paper->sheet->sheet()->weight;

        return PaperWish::This === $piece->wish
            ? SamePaper::is($colour, $weight, $this->colour, $this->weight)
            : SamePaper::isNear($colour, $weight, $this->colour, $this->weight);
    }

    /** As the planner knows it: what has a direction lies with it upright. */
    public function planned(string $paper): Stock
    {
        $size = Direction::Width === $this->direction ? $this->size->turned() : $this->size;

        return new Stock((string) $this->id, $size->width->ticks, $size->height->ticks, $this->available, $paper, $this->isWhole());
    }
}
