<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use App\Room\Stores\TrimmerColumns;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Cutting\CutSequence;
use Lottel\Core\Cutting\CutStep;
use Lottel\Core\Cutting\CutYield;
use Lottel\Core\Cutting\MissingPaper;
use Lottel\Core\Cutting\PartFate;
use Lottel\Core\Cutting\WorkPart;
use Lottel\Core\Cutting\YieldedPart;
use Lottel\Core\Words\Counted;

/** A kit's cutting as it stands: pieces, sheets, and the cuts that are left, in their order. */
final readonly class CuttingTable
{
    /**
     * @param array<int, PieceToCut> $pieces
     * @param array<int, SheetOnTable> $sheets all of the plan
     * @param array<int, SheetOnTable> $here those on the tray that are not logged
     * @param list<CutStep> $steps of what is on the tray; of a kit that is only planned, of all
     * @param \Closure(Item): ?Place $homeOf
     * @param \Closure(PieceToCut): MissingPaper $why
     */
    public function __construct(
        public CutPlanOfKit $plan,
        public array $pieces,
        public array $sheets,
        public array $here,
        public array $steps,
        public TrimmerColumns $trimmer,
        private \Closure $homeOf,
        private \Closure $why,
    ) {
    }

    /** The next cut; null where none is left to be made with what is on the tray. */
    public function next(): ?CutStep
    {
        return $this->steps[0] ?? null;
    }

    /** @return array<int, SheetOnTable> sheets of the plan that are still to be pulled */
    public function toPull(): array
    {
        return array_filter(array_diff_key($this->sheets, $this->here), static fn (SheetOnTable $row): bool => !$row->isLogged);
    }

    /** @return array<string, int> how many of each paper, by name */
    public function papersToPull(): array
    {
        return array_count_values(array_map(static fn (SheetOnTable $row): string => $row->item->name, $this->toPull()));
    }

    /** How many of a piece are cut, or ready on the tray. */
    public function cut(PieceToCut $piece): int
    {
        $cut = 0;
        foreach ($this->sheets as $number => $row) {
            $isOnTray = $row->isLogged || isset($this->here[$number]);
            foreach ($isOnTray ? $row->sheet()->root->inHand() : [] as $part) {
                $cut += $part->piece === $piece->id ? 1 : 0;
            }
        }

        return $cut;
    }

    /** For how many of a piece there is no paper. */
    public function lacking(PieceToCut $piece): int
    {
        $planned = array_sum(array_map(static fn (SheetOnTable $row): int => $row->sheet()->root->pieces()[(int) $piece->id] ?? 0, $this->sheets));

        return max(0, $piece->quantity - $planned);
    }

    /** Why there is no paper for some of a piece. */
    public function whyLacking(PieceToCut $piece): MissingPaper
    {
        return ($this->why)($piece);
    }

    public function isShort(): bool
    {
        return [] !== array_filter($this->pieces, fn (PieceToCut $piece): bool => $this->lacking($piece) > 0);
    }

    /** How many full sheets the plan opens, those that are cut already with them. */
    public function fullSheets(): int
    {
        return \count(array_filter($this->sheets, static fn (SheetOnTable $row): bool => $row->isWhole()));
    }

    public function scraps(): int
    {
        return \count(array_filter($this->sheets, static fn (SheetOnTable $row): bool => !$row->isWhole() && !$row->sheet()->isReady()));
    }

    public function ready(): int
    {
        return \count(array_filter($this->sheets, static fn (SheetOnTable $row): bool => $row->sheet()->isReady()));
    }

    /** Whether a sheet lies there half cut. */
    public function isHalfCut(): bool
    {
        return [] !== array_filter($this->here, static fn (SheetOnTable $row): bool => $row->sheet()->isBegun() && !$row->sheet()->isDone());
    }

    /** Whether a cut of it is made. */
    public function isBegun(): bool
    {
        return [] !== array_filter($this->sheets, static fn (SheetOnTable $row): bool => $row->isLogged || $row->sheet()->isBegun());
    }

    /** Whether a better plan may still be found by looking longer. */
    public function canBeBetter(): bool
    {
        $isCut = static fn (SheetOnTable $row): bool => !$row->sheet()->isReady();

        return $this->plan->kit->isPlanned()
            && $this->plan->effort < \count(PlanCuts::EFFORTS)
            && ($this->isShort() || [] !== array_filter($this->sheets, $isCut));
    }

    /** Whether it is proven that no plan opens fewer sheets; told only while nothing of it is cut. */
    public function isProven(): bool
    {
        return !$this->isBegun() && !$this->isShort() && $this->fullSheets() === $this->plan->least;
    }

    /** Returns out of what the pieces come, in one line. */
    public function planInWords(): string
    {
        if ([] === $this->pieces) {
            return 'nothing is to be cut';
        }
        $from = array_filter([
            0 === $this->ready() ? '' : $this->ready().' ready-cut',
            0 === $this->scraps() ? '' : Counted::of($this->scraps(), 'scrap'),
            0 === $this->fullSheets() ? '' : Counted::of($this->fullSheets(), 'sheet'),
        ], static fn (string $part): bool => '' !== $part);
        $lacking = [];
        foreach ($this->pieces as $piece) {
            if ($this->lacking($piece) > 0) {
                $lacking[] = Counted::of($this->lacking($piece), $piece->name);
            }
        }

        return ([] === $from ? 'no paper for it is free' : 'from '.Counted::names(array_values($from), 'kind'))
            .([] === $lacking ? '' : '; not enough paper for '.Counted::names($lacking, 'kind'))
            .($this->isProven() && $this->fullSheets() > 0 ? '; no plan needs fewer sheets' : '');
    }

    /** Returns the pieces in one line, such as `12 panels, 12 mats`. */
    public function piecesInWords(): string
    {
        return implode(', ', array_map(static fn (PieceToCut $piece): string => Counted::of($piece->quantity, $piece->name), $this->pieces));
    }

    /** Returns why a paper stands on the list; empty where the cuts do not want it. */
    public function reasonFor(int $item): string
    {
        $pieces = [];
        foreach ($this->sheets as $row) {
            foreach ($row->item->id === $item ? $row->sheet()->root->pieces() : [] as $piece => $many) {
                $pieces[$piece] = ($pieces[$piece] ?? 0) + $many;
            }
        }
        $words = array_map(fn (int $piece, int $many): string => Counted::of($many, $this->pieces[$piece]->name), array_keys($pieces), $pieces);

        return [] === $words ? '' : 'to cut '.Counted::names($words, 'kind of piece');
    }

    /** @return list<string> the parts of a step as a form names them */
    public function namesOf(CutStep $step): array
    {
        return array_map(static fn (array $part): string => $part[0].' '.$part[1], $step->parts);
    }

    /** @return list<PieceToCut> cut, and still to be scored */
    public function toScore(): array
    {
        return array_values(array_filter($this->pieces, fn (PieceToCut $piece): bool => $this->unscored($piece) > 0));
    }

    /** How many of a piece are cut and not scored yet; what was ready is scored already. */
    public function unscored(PieceToCut $piece): int
    {
        return [] === $piece->creases() ? 0 : max(0, $this->cut($piece) - $this->readyOf($piece) - $piece->scored);
    }

    /** Whether nothing is left to do at the table. */
    public function isDone(): bool
    {
        return [] === $this->steps && [] === $this->toPull() && [] === $this->toScore() && !$this->isShort();
    }

    /** About how long what is left takes, in seconds. */
    public function seconds(): int
    {
        return CutSequence::seconds($this->steps, $this->scores());
    }

    public function hasScores(): bool
    {
        return [] !== array_filter($this->pieces, static fn (PieceToCut $piece): bool => [] !== $piece->creases());
    }

    /** How many lines are still to be scored, on what is cut and on what will be. */
    public function scores(): int
    {
        return array_sum(array_map(
            fn (PieceToCut $piece): int => \count($piece->creases()) * max(0, $piece->quantity - $this->readyOf($piece) - $piece->scored),
            $this->pieces,
        ));
    }

    private function readyOf(PieceToCut $piece): int
    {
        return \count(array_filter($this->sheets, static fn (SheetOnTable $row): bool => $row->sheet()->root->piece === $piece->id));
    }

    /** @return list<array{int, int}> one sheet of each that is cut in its own way, and how many are cut like it */
    public function patterns(): array
    {
        $patterns = [];
        foreach ($this->sheets as $number => $row) {
            if (!$row->sheet()->isReady()) {
                $key = $row->item->id.json_encode($row->sheet()->root->shape(), \JSON_THROW_ON_ERROR);
                $patterns[$key] = [$patterns[$key][0] ?? $number, ($patterns[$key][1] ?? 0) + 1];
            }
        }

        return array_values($patterns);
    }

    /** @return list<CutStack> full sheets that are cut alike, as a copy shop cuts them: through the whole stack */
    public function stacks(): array
    {
        $stacks = [];
        foreach ($this->patterns() as [$number, $many]) {
            $row = $this->sheets[$number];
            if ($row->isWhole() && !$row->isLogged && !$row->sheet()->isBegun()) {
                $stacks[] = new CutStack($number, $row->item->name, $many, $row->sheet()->root);
            }
        }

        return $stacks;
    }

    /** @return list<CutStep> */
    public function shopSteps(): array
    {
        return array_merge([], ...array_map(static fn (CutStack $stack): array => $stack->steps(), $this->stacks()));
    }

    /** Returns what a copy shop takes for the stacks, in cents; null where nobody has said what it takes for a cut. */
    public function shopPrice(): ?int
    {
        return null === $this->trimmer->centsPerCut ? null : CutSequence::price($this->shopSteps(), $this->trimmer->centsPerCut);
    }

    /** Returns a part that lies on the table. */
    public function part(CutStep $step, int $at = 0): WorkPart
    {
        [$sheet, $name] = $step->parts[$at];

        return $this->sheets[$sheet]->sheet()->root->named($name);
    }

    /** Whether a thing is the trimmer, or a paper that lies under its blade in a step. */
    public function isAtBlade(Item $item, CutStep $step): bool
    {
        $papers = array_map(fn (array $part): ?int => $this->sheets[$part[0]]->item->id, $step->parts);

        return \in_array($item->kind, [Kind::Tool, Kind::Machine], true) || \in_array($item->id, $papers, true);
    }

    /** Whether the paper is turned for a step: the cut before it in the same sheet ran the other way. */
    public function isTurned(CutStep $step): bool
    {
        [$sheet, $name] = $step->parts[0];

        return '1' !== $name && $this->sheets[$sheet]->sheet()->root->named(substr($name, 0, -2))->isCutAlongX !== $step->isCutAlongX;
    }

    /** Returns what a sheet becomes when all of its cuts are made. */
    public function yields(int $sheet): CutYield
    {
        return $this->sheets[$sheet]->sheet()->yields($this->trimmer->keep());
    }

    /** Where what is left of a sheet goes; null where the room has no place for it. */
    public function homeOf(int $sheet): ?Place
    {
        return ($this->homeOf)($this->sheets[$sheet]->item);
    }

    /** Returns what is logged with a cut, where sheets are done with it; nothing else. */
    public function endsWith(CutStep $step): string
    {
        $said = [];
        foreach (array_unique(array_column($step->parts, 0)) as $sheet) {
            $left = $this->sheets[$sheet]->sheet();
            foreach ($step->parts as [$number, $name]) {
                $left = $number === $sheet ? $left->cut($name) : $left;
            }
            if ($left->isDone()) {
                $said[] = $sheet;
            }
        }
        if ([] === $said) {
            return '';
        }
        $kept = array_sum(array_map(fn (int $sheet): int => array_sum(array_map(
            static fn (YieldedPart $part): int => $part->quantity,
            $this->yields($sheet)->all(PartFate::Offcut),
        )), $said));
        $home = $this->homeOf($said[0])?->address;

        return \sprintf('With this cut %s done.', Counted::of(\count($said), 'sheet').' '.Counted::verb(\count($said)))
            .(0 === $kept ? '' : \sprintf(' %s kept, for %s.', Counted::of($kept, 'offcut').' '.Counted::verb($kept), $home ?? 'what is not filed'));
    }

    /**
     * Returns the sheets that a form names, each with the name of a part.
     *
     * @param list<string> $named such as `12 1.2`
     *
     * @return list<array{SheetOnTable, string}>
     *
     * @throws StepRefused if one of them is not on this table
     */
    public function named(array $named): array
    {
        return array_map(function (string $text): array {
            [$sheet, $part] = explode(' ', $text, 2) + ['', ''];
            $row = $this->here[(int) $sheet] ?? throw CuttingRefused::isNotOnTheTable();

            return [$row, $part];
        }, array_values(array_unique($named)));
    }
}
