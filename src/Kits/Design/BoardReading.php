<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\CuttingTable;
use App\Kits\Cutting\PieceToCut;
use App\Kits\Cutting\TableReading;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitReading;
use App\Platform\Database\Row;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\AimedAt;
use Lottel\Core\Colour\FrontColour;
use Lottel\Core\Colour\FrontColours;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Design\Block;
use Lottel\Core\Design\BlockKind;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Design\DesignThing;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\ListedPiece;
use Lottel\Core\Design\PageCheck;
use Lottel\Core\Design\PageGrid;
use Lottel\Core\Design\Painted;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\SeenAreas;
use Lottel\Core\Design\Sides;

/** Puts together what a kit's board shows: the design, its papers, where its pieces come from, its colours, its envelope. */
final readonly class BoardReading
{
    public function __construct(
        private Connection $database,
        private Designs $designs,
        private TableReading $table,
        private KitReading $kits,
        private EnvelopesInStock $envelopes,
        private ThicknessReading $thickness,
    ) {
    }

    /** Returns the board of a kit; null where it has no design. */
    public function of(Kit $kit): ?Board
    {
        $row = $this->designs->of($kit);

        return null === $row ? null : $this->with($kit, $row, $row->design());
    }

    /** Returns the board of a kit as it would be with another design, nothing of which is written. */
    public function with(Kit $kit, DesignOfKit $row, Design $design): Board
    {
        $table = $this->table->of($kit);
        $papers = $this->papers($design->papers());
        [$colours, $uncoloured] = self::colours($design, $papers);

        return new Board(
            $design,
            $row->revision,
            null === $row->pattern?->removedAt ? $row->pattern : null,
            $this->rows($design, $papers, $table),
            $design->form->hasLayers() ? $design->front() : [],
            $this->things((int) $kit->id, $design),
            $design->form->isPosted() ? $this->envelopes->for($design) : [],
            PageCheck::of($design, PageGrid::MARGIN),
            $papers,
            $colours,
            $uncoloured,
            $design->form->hasLayers() ? $this->thickness->of($design)[0] : 0,
            $table,
            [] === $design->target ? [] : $this->targets($design, $colours),
        );
    }

    /** @return list<TargetColour> */
    private function targets(Design $design, FrontColours $colours): array
    {
        $hexes = Row::words($this->database->fetchFirstColumn(
            "SELECT DISTINCT i.colour FROM item i JOIN balance b ON b.item_id = i.id JOIN place p ON p.id = b.place_id AND p.nature = 'storage'
             WHERE i.kind = 'paper' AND i.parent_id IS NULL AND i.colour IS NOT NULL AND i.sheet_width IS NOT NULL AND i.removed_at IS NULL",
        ));
        $papers = array_map(static fn (string $hex): FrontColour => new FrontColour($hex, Srgb::ofHex($hex), 0.0), $hexes);
        $targets = array_map(Srgb::ofHex(...), $design->target);
        $near = AimedAt::met($targets, $papers);

        return array_map(fn (array $met, int $at): TargetColour => new TargetColour(
            $met[0]->hex(),
            $met[1]?->name,
            null === $met[1] && null !== $near[$at][1] ? $this->ofColour($near[$at][1]->name) : null,
        ), AimedAt::met($targets, $colours->colours), array_keys($targets));
    }

    private function ofColour(string $hex): ?PaperOnBoard
    {
        $columns = $this->database->fetchAssociative(
            "SELECT i.*, h.address FROM item i LEFT JOIN place h ON h.id = i.home_id
             WHERE i.colour = ? AND i.kind = 'paper' AND i.parent_id IS NULL AND i.removed_at IS NULL ORDER BY i.id LIMIT 1",
            [$hex],
        );

        return false === $columns ? null : PaperOnBoard::of(new Row($columns));
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, PaperOnBoard>
     */
    public function papers(array $items): array
    {
        $papers = [];
        foreach ($this->database->fetchAllAssociative(
            'SELECT i.*, h.address FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id IN (?)',
            [$items],
            [ArrayParameterType::INTEGER],
        ) as $columns) {
            $paper = PaperOnBoard::of(new Row($columns));
            $papers[$paper->id] = $paper;
        }

        return $papers;
    }

    /**
     * @param array<int, PaperOnBoard> $papers
     *
     * @return list<BoardRow>
     */
    private function rows(Design $design, array $papers, CuttingTable $table): array
    {
        $pieces = $sources = [];
        foreach ($design->pieces() as $piece) {
            $cut = array_values(array_filter($table->pieces, static fn (PieceToCut $one): bool => $one->part === $piece->part))[0] ?? null;
            foreach ($piece->parts as $part) {
                $pieces[$part] = $piece;
                $sources[$part] = null === $cut ? null : PieceSource::of($cut, $table);
            }
        }
        $largest = $this->largestSheet();
        $row = static function (
            string $part,
            string $name,
            Layer|Block|ListedPiece|null $of,
            ?PaperChoice $choice,
            array $mats = [],
        ) use ($pieces, $sources, $papers, $largest): BoardRow {
            $piece = $pieces[$part] ?? null;
            $isTooLarge = null !== $piece && null !== $largest && self::isLargerThanAny($piece, $largest);

            /** @var list<BoardRow> $mats */
            return new BoardRow($part, $name, $of, $piece, $choice, $papers[$choice->item ?? 0] ?? null, $sources[$part] ?? null, $isTooLarge, $mats);
        };
        $rows = array_map(static fn (Layer $layer): BoardRow => $row('L'.$layer->id, $layer->name, $layer, $layer->paper), array_reverse($design->layers));
        foreach ($design->blocks as $block) {
            $mats = [];
            foreach ($block->mats as $number => $mat) {
                $mats[] = $row(\sprintf('B%d.m%d', $block->id, $number + 1), 'mat', null, $mat->paper);
            }
            $rows[] = $row('B'.$block->id, $block->name, $block, $block->paper, $mats);
        }
        foreach ($design->listed as $listed) {
            $rows[] = $row('P'.$listed->id, $listed->name, $listed, $listed->paper);
        }

        return $design->form->isListed() ? $rows : [...$rows, $row('base', $design->form->base(), null, $design->paper)];
    }

    /** @param list<Sides> $largest */
    private static function isLargerThanAny(DesignPiece $piece, array $largest): bool
    {
        return [] === array_filter($largest, static fn (Sides $sheet): bool => $piece->size->fitsIn($sheet));
    }

    /** @return list<Sides>|null the sizes of sheets in the room that no other one holds; null where there is none at all */
    private function largestSheet(): ?array
    {
        $rows = $this->database->fetchAllNumeric(
            "SELECT DISTINCT sheet_width, sheet_height FROM item
             WHERE kind = 'paper' AND parent_id IS NULL AND removed_at IS NULL AND sheet_width IS NOT NULL",
        );
        $sheets = array_map(static fn (array $row): Sides => new Sides(Row::number($row[0]), Row::number($row[1])), $rows);

        return [] === $sheets ? null : $sheets;
    }

    /** @return list<ThingOnBoard> */
    private function things(int $kit, Design $design): array
    {
        $things = [];
        foreach ($this->kits->needs($kit) as $need) {
            $thing = $design->thing($need->thing->id);
            if ($thing instanceof DesignThing) {
                $things[] = new ThingOnBoard($thing, $need);
            }
        }

        return $things;
    }

    /**
     * @param array<int, PaperOnBoard> $papers
     *
     * @return array{FrontColours, float}
     */
    private static function colours(Design $design, array $papers): array
    {
        if ($design->form->isListed()) {
            return [new FrontColours([]), 0.0];
        }
        $areas = SeenAreas::of(self::painted($design, $papers));
        $all = max(1, array_sum($areas));
        $named = [];
        foreach ($papers as $paper) {
            if (isset($areas['#'.$paper->colour]) && null !== $paper->colour) {
                $named['#'.$paper->colour] = new FrontColour($paper->short(), Srgb::ofHex($paper->colour), $areas['#'.$paper->colour] / $all);
            }
        }

        return [new FrontColours(array_values($named)), ($areas['?'] ?? 0) / $all];
    }

    /**
     * @param array<int, PaperOnBoard> $papers
     *
     * @return list<Painted>
     */
    private static function painted(Design $design, array $papers): array
    {
        $of = static function (?PaperChoice $choice) use ($papers): string {
            $colour = null === $choice ? null : ($papers[$choice->item] ?? null)?->colour;

            return null === $colour ? '?' : '#'.$colour;
        };
        $painted = [new Painted($of($design->paper), $design->ground())];
        foreach ($design->form->hasLayers() ? $design->front() : [] as $placed) {
            $painted[] = new Painted($of($placed->layer->paper), $placed->at, $placed->window);
        }
        foreach ($design->blocks as $block) {
            foreach ($block->matsAt() as [$at, $mat]) {
                $painted[] = new Painted($of($mat->paper), $at);
            }
            if (BlockKind::Cluster !== $block->kind) {
                $painted[] = new Painted($of($block->kind->isCut() ? $block->paper : null), $block->at);
            }
        }

        return $painted;
    }
}
