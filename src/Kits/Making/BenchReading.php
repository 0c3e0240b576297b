<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Design\BoardReading;
use App\Kits\Design\Designs;
use App\Kits\Kits\KitReading;
use App\Kits\Kits\KitRow;
use App\Kits\Kits\Kits;
use App\Kits\Kits\TrayRow;
use App\Platform\Database\Row;
use App\Platform\Web\Measures;
use Doctrine\DBAL\Connection;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\InWork;
use Lottel\Core\Design\MakingSteps;
use Lottel\Core\Kit\Bench;
use Lottel\Core\Kit\BenchLine;
use Lottel\Core\Kit\Makes;

/** What is on the bench with a kit, worked out from its list and the log. */
final readonly class BenchReading
{
    public function __construct(
        private Connection $database,
        private KitReading $kits,
        private Kits $entities,
        private Designs $designs,
        private BoardReading $board,
        private Measures $measures,
    ) {
    }

    public function of(KitRow $kit): AtBench
    {
        $makes = Makes::read($kit->makes);
        $made = $this->made($kit->id);
        $pieces = array_map(static fn (MadePiece $piece): int => $piece->item, $made);
        $toCut = $this->toCut($kit->id);
        $tray = array_values(array_filter(
            $this->kits->tray($kit->id),
            static fn (TrayRow $row): bool => !\in_array($row->thing->id, $pieces, true) && $row->quantity > ($toCut[$row->thing->id] ?? 0),
        ));
        $lasting = array_values(array_filter($tray, static fn (TrayRow $row): bool => $row->thing->lasts()));
        $usedUp = array_values(array_filter($tray, static fn (TrayRow $row): bool => !\in_array($row, $lasting, true)));
        $design = $this->designs->of($this->entities->one($kit->id))?->design();
        $lines = $this->lines($kit->id, $usedUp, $design);
        $done = array_sum(array_map(static fn (MadePiece $piece): int => $piece->quantity, $made));
        $bench = new Bench($design->quantity ?? $makes->pieces, $done, array_values($lines));

        return new AtBench(
            $bench,
            $makes,
            $lasting,
            array_map(static fn (TrayRow $row): BenchRow => BenchRow::of($row, $lines[$row->thing->id], $bench), $usedUp),
            $made,
            null === $design ? null : $this->inWork($kit->id, $design, $done),
        );
    }

    /**
     * @param list<TrayRow> $usedUp
     *
     * @return array<int, BenchLine> by item; of what is used up altogether, too
     */
    private function lines(int $kit, array $usedUp, ?Design $design): array
    {
        $used = $this->used($kit);
        $wanted = $onTray = $lines = [];
        $papers = $this->papers($kit);
        foreach ($this->kits->needs($kit) as $need) {
            if (!$need->isGone() && !$need->thing->lasts() && !\in_array($need->thing->id, $papers, true)) {
                $wanted[$need->thing->id] = $need;
            }
        }
        $pieces = $this->pieces($kit);
        $each = null === $design ? [] : $this->each($kit, $design);
        foreach ($usedUp as $row) {
            $onTray[$row->thing->id] = $row;
        }
        foreach ($wanted + $onTray as $item => $row) {
            $quantity = $pieces[$item] ?? (isset($wanted[$item]) ? $wanted[$item]->quantity : 0);
            $there = isset($onTray[$item]) ? $onTray[$item]->quantity : 0;
            $lines[$item] = new BenchLine($item, $row->thing->name, $row->thing->tracking, $quantity, $used[$item] ?? 0, $there, $each[$item] ?? null);
        }

        return $lines;
    }

    /** @return array<int, int> what one card, page or set takes of each thing, by item */
    private function each(int $kit, Design $design): array
    {
        $each = [];
        foreach ($design->things as $thing) {
            $each[$thing->item] = $thing->each;
        }
        $ofPart = [];
        foreach ($design->pieces() as $piece) {
            $ofPart[$piece->part] = $piece->each;
        }
        $rows = $this->database->fetchAllAssociative('SELECT part, item_id FROM piece WHERE kit_id = ? AND part IS NOT NULL AND item_id IS NOT NULL', [$kit]);
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $each[$row->int('item_id')] = ($each[$row->int('item_id')] ?? 0) + ($ofPart[$row->text('part')] ?? 0);
        }

        return array_filter($each, static fn (int $many): bool => $many > 0);
    }

    private function inWork(int $kit, Design $design, int $finished): DesignAtBench
    {
        $done = [];
        foreach ($this->database->fetchAllAssociative('SELECT step, done FROM making_step WHERE kit_id = ?', [$kit]) as $columns) {
            $row = new Row($columns);
            $done[$row->text('step')] = $row->int('done');
        }
        $steps = (new MakingSteps($this->measures->lengths()))->of($design);

        return new DesignAtBench($design, $this->board->papers($design->papers()), new InWork($design->quantity, $finished, $steps, $done));
    }

    /**
     * Returns what the bench took otherwise for each finished piece than the design says, where that comes out even.
     *
     * @return list<UsedOtherwise>
     */
    public function usedOtherwise(KitRow $kit): array
    {
        $at = $this->of($kit);
        $design = $at->design?->design;
        if (null === $design || 0 === $at->bench->done) {
            return [];
        }
        $pieces = $this->pieces($kit->id);
        $otherwise = [];
        foreach ($this->usedThings($kit->id) as $row) {
            $item = $row->int('item_id');
            $designed = $design->thing($item)->each ?? 0;
            $each = intdiv($row->int('many'), $at->bench->done);
            if (!isset($pieces[$item]) && 0 === $row->int('many') % $at->bench->done && $each !== $designed) {
                $otherwise[] = new UsedOtherwise($item, $row->text('name'), $each, $designed);
            }
        }

        return $otherwise;
    }

    /** @return list<Row> what is counted and was used up, papers that are cut left out */
    private function usedThings(int $kit): array
    {
        return Row::each($this->database->fetchAllAssociative(
            "SELECT u.item_id, i.name, sum(u.quantity) AS many FROM use_of_item u JOIN item i ON i.id = u.item_id
             WHERE u.kit_id = ? AND u.reason = 'use' AND i.tracking = 'count' AND i.kind NOT IN ('paper', 'scrap') GROUP BY u.item_id",
            [$kit],
        ), static fn (Row $row): Row => $row);
    }

    /** @return array<int, int> how many sheets of each paper are to be cut, by item */
    private function toCut(int $kit): array
    {
        return $this->counts('SELECT item_id, count(*) AS many FROM sheet_in_work
            WHERE kit_id = ? AND NOT is_logged AND json_extract(tree, \'$.piece\') IS NULL GROUP BY item_id', $kit);
    }

    /** @return list<int> the papers that the kit cuts */
    private function papers(int $kit): array
    {
        return array_keys($this->counts('SELECT item_id, count(*) AS many FROM sheet_in_work
            WHERE kit_id = ? AND json_extract(tree, \'$.piece\') IS NULL GROUP BY item_id', $kit));
    }

    /** @return array<int, int> how many cut pieces the kit wants of each kind, by item */
    private function pieces(int $kit): array
    {
        return $this->counts('SELECT item_id, sum(quantity) AS many FROM piece WHERE kit_id = ? AND item_id IS NOT NULL GROUP BY item_id', $kit);
    }

    /** @return array<int, int> by item */
    private function counts(string $sql, int $kit): array
    {
        $counts = [];
        foreach ($this->database->fetchAllAssociative($sql, [$kit]) as $columns) {
            $row = new Row($columns);
            $counts[$row->int('item_id')] = $row->int('many');
        }

        return $counts;
    }

    /** @return array<int, int> how much of each thing a kit has used up, by item */
    private function used(int $kit): array
    {
        return $this->counts(
            "SELECT u.item_id, sum(u.quantity) AS many FROM use_of_item u WHERE u.kit_id = ? AND u.reason = 'use' GROUP BY u.item_id",
            $kit,
        );
    }

    /** @return list<MadePiece> */
    private function made(int $kit): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT i.id, i.name, h.address AS home, sum(m.quantity) AS made
             FROM piece_made m JOIN item i ON i.id = m.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE m.kit_id = ? GROUP BY i.id ORDER BY min(m.movement_id)',
            [$kit],
        ), static fn (Row $row): MadePiece => new MadePiece($row->int('id'), $row->text('name'), $row->textOrNull('home'), $row->int('made')));
    }
}
