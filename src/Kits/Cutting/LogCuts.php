<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Kits\Paper\OffcutHomes;
use App\Kits\Paper\ScrapsOfPaper;
use App\Platform\Steps\Step;
use App\Platform\Web\Measures;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use App\Room\Stores\Rooms;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Cutting\CutYield;
use Lottel\Core\Cutting\PartFate;
use Lottel\Core\Cutting\YieldedPart;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;

/**
 * Writes into the log what sheets became: they leave the tray, their pieces lie on it, each offcut worth keeping goes home as a scrap,
 * the rest is waste.
 */
final readonly class LogCuts
{
    public function __construct(
        private LogBook $log,
        private Connection $database,
        private EntityManagerInterface $entities,
        private Places $places,
        private Rooms $rooms,
        private CuttingOfKit $cutting,
        private PieceItems $pieces,
        private ScrapsOfPaper $scraps,
        private OffcutHomes $homes,
        private Measures $measures,
    ) {
    }

    /** All that is cut and not logged yet; returns what was logged, of each paper as one. */
    public function __invoke(Step $step, Kit $kit): LoggedCuts
    {
        $done = [];
        foreach ($this->cutting->sheets($kit) as $row) {
            if (!$row->isLogged && $row->sheet()->isBegun() && $row->sheet()->isDone()) {
                $row->markLogged();
                $root = $row->sheet()->root;
                $done[implode('/', [$row->item->id, $root->width, $root->height])][] = $row;
            }
        }
        $logged = new LoggedCuts();
        $keep = $this->rooms->all()[0]->trimmer->keep();
        foreach ($done as $rows) {
            $yields = array_map(static fn (SheetOnTable $row): CutYield => $row->sheet()->yields($keep), $rows);
            $all = array_reduce(\array_slice($yields, 1), static fn (CutYield $sum, CutYield $one): CutYield => $sum->and($one), $yields[0]);
            $this->one($step, $kit, $rows[0]->item, $all, $logged);
        }

        return $logged;
    }

    private function one(Step $step, Kit $kit, Item $paper, CutYield $yield, LoggedCuts $logged): void
    {
        $note = \sprintf('cut for %s', $kit->name);
        $away = $paper->moves($yield->sheets, $kit->trayInUse(), $this->places->outside(Outside::UsedUp), Reason::Cut);
        $cut = $this->log->move($step, $away, $kit->inLog(), $note);
        foreach ($yield->parts as $part) {
            $this->part($cut, $part, match ($part->fate) {
                PartFate::Piece => $this->piece($step, $kit, $part, $note, $logged),
                PartFate::Offcut => $this->offcut($step, $kit, $paper, $part, $note, $logged),
                PartFate::Waste => null,
            });
        }
        $this->database->insert('cut', ['movement_id' => $cut, 'width' => $yield->width, 'height' => $yield->height, 'sheets' => $yield->sheets]);
        $logged->sheets($paper, $yield);
    }

    private function piece(Step $step, Kit $kit, YieldedPart $part, string $note, LoggedCuts $logged): int
    {
        $piece = $this->cutting->piece((int) $kit->id, $part->piece ?? 0);
        $item = $this->pieces->of($piece);
        $this->entities->flush();
        $logged->piece($piece, $part->quantity);
        $made = $item->moves($part->quantity, $this->places->outside(Outside::MadeHere), $kit->trayInUse(), Reason::Cut);

        return $this->log->move($step, $made, $kit->inLog(), $note);
    }

    private function offcut(Step $step, Kit $kit, Item $paper, YieldedPart $part, string $note, LoggedCuts $logged): int
    {
        $home = $this->homes->of($paper);
        $sheet = $paper->sheet->sheet()->cutTo(Size::ofTicks($part->width, $part->height));
        // On the table a direction runs upright.
        $sheet = Direction::Width === $sheet->direction ? $sheet->running(Direction::Height) : $sheet;
        $scrap = $this->scraps->of($paper, $sheet, $home, $this->measures->lengths());
        $this->entities->flush();
        $logged->offcut($scrap, $part->quantity);
        $kept = $scrap->moves($part->quantity, $this->places->outside(Outside::MadeHere), $home ?? $this->places->heap(), Reason::Cut);

        return $this->log->move($step, $kept, $kit->inLog(), $note);
    }

    private function part(int $cut, YieldedPart $part, ?int $movement): void
    {
        $this->database->insert('cut_part', [
            'cut_id' => $cut,
            'movement_id' => $movement,
            'fate' => $part->fate->value,
            'width' => $part->width,
            'height' => $part->height,
            'quantity' => $part->quantity,
        ]);
    }
}
