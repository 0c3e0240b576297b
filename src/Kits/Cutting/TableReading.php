<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Kits\Paper\OffcutHomes;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Rooms;
use App\Room\Stores\TrimmerColumns;
use Doctrine\DBAL\Connection;
use Lottel\Core\Cutting\CutSequence;
use Lottel\Core\Cutting\CutStep;
use Lottel\Core\Cutting\MissingPaper;
use Lottel\Core\Cutting\Stock;

/** How a kit's cutting stands, and what is cut next. */
final readonly class TableReading
{
    public function __construct(
        private CuttingOfKit $cutting,
        private LogBook $log,
        private Rooms $rooms,
        private OffcutHomes $homes,
        private SheetsReading $stock,
        private Connection $database,
    ) {
    }

    public function of(Kit $kit): CuttingTable
    {
        $pieces = $this->cutting->pieces($kit);
        if ([] === $pieces) {
            return new CuttingTable(new CutPlanOfKit($kit), [], [], [], [], new TrimmerColumns(), $this->homesOnce(), $this->why($kit, new TrimmerColumns()));
        }
        $plan = $this->cutting->plan($kit);
        $sheets = $this->cutting->sheets($kit);
        $trimmer = $this->rooms->all()[0]->trimmer;
        $open = array_filter($sheets, static fn (SheetOnTable $row): bool => !$row->isLogged);
        $here = $this->here($kit, $open);
        $toCut = array_filter($kit->hasTray() ? $here : $open, static fn (SheetOnTable $row): bool => !$row->sheet()->isDone());

        return new CuttingTable(
            $plan,
            $pieces,
            $sheets,
            $here,
            $this->steps($toCut, $plan->setting, $trimmer->sheetsTogether),
            $trimmer,
            $this->homesOnce(),
            $this->why($kit, $trimmer),
        );
    }

    /** @return \Closure(PieceToCut): MissingPaper */
    private function why(Kit $kit, TrimmerColumns $trimmer): \Closure
    {
        $own = $colours = null;

        return function (PieceToCut $piece) use ($kit, $trimmer, &$own, &$colours): MissingPaper {
            $own ??= $this->stock->own($kit);
            $colours ??= $this->stock->colours();
            $sheets = array_filter(
                $this->stock->of($own, $piece->paper, 1, $piece->wish, $colours),
                static fn (StockSheet $sheet): bool => $sheet->isCutFor($piece),
            );

            return MissingPaper::of(
                $piece->planned(1, ''),
                array_values(array_map(static fn (StockSheet $sheet): Stock => $sheet->planned(''), $sheets)),
                $trimmer->trimmer(),
            );
        };
    }

    /** @return \Closure(Item): ?Place where what is left of a paper goes; looked up once for each */
    private function homesOnce(): \Closure
    {
        $homes = [];

        return function (Item $paper) use (&$homes): ?Place {
            $homes[(int) $paper->id] ??= [$this->homes->of($paper)];

            return $homes[(int) $paper->id][0];
        };
    }

    /**
     * @param array<int, SheetOnTable> $rows
     *
     * @return list<CutStep>
     */
    private function steps(array $rows, ?int $setting, int $together): array
    {
        $parts = [];
        foreach ($rows as $number => $row) {
            foreach ($row->sheet()->toCut() as $name => $part) {
                $parts[] = [$number, (string) $name, $part->part()];
            }
        }

        return (new CutSequence($together))->goOn($parts, $setting);
    }

    /**
     * @param array<int, SheetOnTable> $open
     *
     * @return array<int, SheetOnTable> those whose paper is on the tray: what is begun, then as many as there are
     */
    private function here(Kit $kit, array $open): array
    {
        if (!$kit->hasTray()) {
            return [];
        }
        $left = $here = [];
        uasort($open, static fn (SheetOnTable $a, SheetOnTable $b): int => $b->sheet()->isBegun() <=> $a->sheet()->isBegun() ?: $a->id <=> $b->id);
        foreach ($open as $number => $row) {
            $item = (int) $row->item->id;
            // What is ready may have been used since; it is not to be pulled once more.
            $left[$item] ??= $row->sheet()->isReady()
                ? array_sum($this->database->fetchFirstColumn('SELECT taken FROM need WHERE kit_id = ? AND item_id = ?', [$kit->id, $item]))
                : $this->log->quantity($item, (int) $kit->trayInUse()->id);
            if ($left[$item] > 0) {
                --$left[$item];
                $here[$number] = $row;
            }
        }
        ksort($here);

        return $here;
    }
}
