<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\WorkPart;

/** A kit's cut plan in the shape of `lottel:cut-plan`: the document that it reads, and the answer that it prints. */
final readonly class PlanDocument
{
    public function __construct(private TableReading $table, private PlanCuts $plan)
    {
    }

    /**
     * What is still to be planned for a kit, out of what is free for it now: as the planner would be asked. What is planned and not
     * begun counts as free.
     *
     * @return array<string, mixed>
     */
    public function question(Kit $kit): array
    {
        $table = $this->table->of($kit);
        [$pieces, $stocks] = $this->plan->asked($kit);
        $trimmer = $table->trimmer;
        $sides = [...array_map(static fn (Piece $piece): array => [$piece->width, $piece->height], array_values($pieces)),
            ...array_map(static fn (Stock $stock): array => [$stock->width, $stock->height], array_values($stocks))];
        $unit = PlanUnit::for([...array_merge([], ...$sides), $trimmer->longestCut ?? 0, $trimmer->smallestStrip, $trimmer->keepShort, $trimmer->keepLong]);

        return [
            'unit' => $unit->name,
            'longest_cut' => null === $trimmer->longestCut ? null : $unit->number($trimmer->longestCut),
            'smallest_strip' => $unit->number($trimmer->smallestStrip),
            'keep' => ['short' => $unit->number($trimmer->keepShort), 'long' => $unit->number($trimmer->keepLong)],
            'pieces' => array_map(static fn (int $number, Piece $piece): array => [
                'id' => $piece->id.' '.$number,
                'w' => $unit->number($piece->width),
                'h' => $unit->number($piece->height),
                'qty' => $piece->quantity,
                'turn' => $piece->mayTurn,
                'paper' => $piece->paper,
            ], array_keys($pieces), $pieces),
            'stock' => array_map(static fn (Stock $stock): array => [
                'id' => 'item '.$stock->id,
                'w' => $unit->number($stock->width),
                'h' => $unit->number($stock->height),
                'qty' => $stock->quantity,
                'paper' => $stock->paper,
                'kind' => $stock->isSheet ? 'sheet' : 'scrap',
            ], array_values($stocks)),
        ];
    }

    /** @return array<string, mixed> how the kit's pieces are cut, what is done already with it */
    public function answer(Kit $kit): array
    {
        $table = $this->table->of($kit);
        $lengths = [$table->trimmer->keepShort];
        foreach ($table->sheets as $row) {
            array_push($lengths, ...self::sidesOf($row->sheet()->root));
        }
        $unit = PlanUnit::for($lengths);
        $used = $copies = [];
        foreach ($table->sheets as $row) {
            $item = (int) $row->item->id;
            $copies[$item] = ($copies[$item] ?? 0) + 1;
            $used[] = ['stock' => 'item '.$item, 'copy' => $copies[$item], 'name' => $row->item->name] + $this->sheet($table, $row->sheet()->root, $unit);
        }
        $unplaced = [];
        foreach ($table->pieces as $number => $piece) {
            if ($table->lacking($piece) > 0) {
                $unplaced[] = ['piece' => $piece->name.' '.$number, 'qty' => $table->lacking($piece)];
            }
        }

        return [
            'unit' => $unit->name,
            'status' => [] === $unplaced ? 'complete' : 'short',
            'used' => $used,
            'unplaced' => $unplaced,
            'sheets' => $table->fullSheets(),
            'scraps' => \count($table->sheets) - $table->fullSheets(),
            'sheets_bound' => $table->isProven() ? $table->fullSheets() : min($table->plan->least, $table->fullSheets()),
            'optimal' => $table->isProven(),
        ];
    }

    /** @return array<string, mixed> */
    private function sheet(CuttingTable $table, WorkPart $root, PlanUnit $unit): array
    {
        $sheet = ['w' => $unit->number($root->width), 'h' => $unit->number($root->height), 'placed' => [], 'cuts' => [], 'offcuts' => []];
        $this->part($table, $root, '1', 0, 0, $unit, $sheet['placed'], $sheet['cuts'], $sheet['offcuts']);

        return $sheet;
    }

    /**
     * @param list<array<string, mixed>> $placed
     * @param list<array<string, mixed>> $cuts
     * @param list<array<string, mixed>> $offcuts
     */
    private function part(
        CuttingTable $table,
        WorkPart $part,
        string $name,
        int $x,
        int $y,
        PlanUnit $unit,
        array &$placed,
        array &$cuts,
        array &$offcuts,
    ): void {
        $box = ['x' => $unit->number($x), 'y' => $unit->number($y), 'w' => $unit->number($part->width), 'h' => $unit->number($part->height)];
        if (null !== $part->first && null !== $part->second) {
            $at = $part->isCutAlongX ? $part->first->width : $part->first->height;
            $cuts[] = [
                'step' => \count($cuts) + 1,
                'part' => $name,
                'axis' => $part->isCutAlongX ? 'x' : 'y',
                'at' => $unit->number($at),
                'makes' => [$name.'.1', $name.'.2'],
                'made' => $part->isMade,
            ];
            $this->part($table, $part->first, $name.'.1', $x, $y, $unit, $placed, $cuts, $offcuts);
            $this->part(
                $table,
                $part->second,
                $name.'.2',
                $x + ($part->isCutAlongX ? $at : 0),
                $y + ($part->isCutAlongX ? 0 : $at),
                $unit,
                $placed,
                $cuts,
                $offcuts,
            );
        } elseif (null !== $part->piece) {
            $placed[] = ['piece' => ($table->pieces[$part->piece]->name ?? 'piece').' '.$part->piece] + $box + ['turned' => $part->isTurned];
        } else {
            $offcuts[] = $box + ['keep' => $table->trimmer->keep()->isWorth($part->width, $part->height)];
        }
    }

    /** @return list<int> */
    private static function sidesOf(WorkPart $part): array
    {
        return null === $part->first || null === $part->second
            ? [$part->width, $part->height]
            : [$part->width, $part->height, ...self::sidesOf($part->first), ...self::sidesOf($part->second)];
    }
}
