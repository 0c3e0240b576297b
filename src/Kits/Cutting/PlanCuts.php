<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Need;
use App\Room\Catalogue\Item;
use App\Room\Stores\Rooms;
use App\Room\Stores\TrimmerColumns;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Cutting\CutPlan;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\CutStock;
use Lottel\Core\Cutting\CutTable;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\PlannedCuts;
use Lottel\Core\Cutting\Score;
use Lottel\Core\Cutting\Stock;

/**
 * Decides out of what a kit's pieces are cut, and puts that on its list. What is begun stays as it is; the rest is planned anew from
 * what is free now.
 */
final readonly class PlanCuts
{
    /** How long is looked for a plan, in seconds: a first one at once, then better ones. */
    public const EFFORTS = [0.03, 0.25, 0.6];

    public function __construct(
        private EntityManagerInterface $entities,
        private CuttingOfKit $cutting,
        private SheetsReading $stock,
        private KitList $list,
        private Rooms $rooms,
    ) {
    }

    public function __invoke(Kit $kit): void
    {
        $kit->checkOpen();
        $this->entities->flush();
        $this->drop($kit);
        $job = $this->job($kit);
        $planned = $this->planned($job, 0);
        $this->take($kit, $job, $planned);
        $plan = $this->cutting->plan($kit);
        $plan->startFrom($planned->least);
        if ([] === $job->pieces()) {
            $plan->beEnough();
        }
        $this->putOnList($kit);
    }

    /** Looks longer for a better plan, as long as nothing of it is being pulled; returns whether there is one. */
    public function better(Kit $kit): bool
    {
        $kit->checkOpen();
        $plan = $this->cutting->plan($kit);
        if (!$kit->isPlanned() || !isset(self::EFFORTS[$plan->effort])) {
            return false;
        }
        $job = $this->job($kit);
        $now = $this->scoreOfPlan($kit, $job);
        $planned = $this->planned($job, $plan->effort);
        $plan->countEffort($planned->least);
        if (!$planned->score->isBetterThan($now)) {
            return false;
        }
        $this->drop($kit);
        $this->take($kit, $job, $planned);
        $this->putOnList($kit);

        return true;
    }

    /**
     * Returns what the planner would be asked for a kit now.
     *
     * @return array{array<int, Piece>, array<int, Stock>} pieces by number, stock by item
     */
    public function asked(Kit $kit): array
    {
        $job = $this->job($kit);

        return [$job->pieces(), $job->stocks()];
    }

    /** What is still to be planned, and out of what. */
    private function job(Kit $kit): CutJob
    {
        $pieces = $this->cutting->pieces($kit);
        $kept = array_filter($this->cutting->sheets($kit), static fn (SheetOnTable $row): bool => $row->isLogged || $row->sheet()->isBegun());
        $isAhead = $this->cutting->plan($kit)->isAhead;
        $job = new CutJob($pieces, $kept);
        $sides = [\PHP_INT_MAX, ...array_map(static fn (PieceToCut $piece): int => min($piece->width, $piece->height), array_values($pieces))];
        $colours = [] === $pieces ? [] : $this->stock->colours();
        $own = $this->stock->own($kit);
        foreach ($pieces as $piece) {
            $job->offer($piece, $this->stock->of($own, $piece->paper, min($sides), $piece->wish, $colours), $isAhead);
        }

        return $job;
    }

    private function planned(CutJob $job, int $effort): PlannedCuts
    {
        $planner = new CutPlanner($this->trimmer()->trimmer(), self::EFFORTS[$effort]);

        return (new CutTable($planner))->plan($job->pieces(), $job->inWork(), $job->stocks());
    }

    private function drop(Kit $kit): void
    {
        foreach ($this->cutting->sheets($kit) as $row) {
            if (!$row->isLogged && !$row->sheet()->isBegun()) {
                $this->entities->remove($row);
            }
        }
        $this->entities->flush();
    }

    private function take(Kit $kit, CutJob $job, PlannedCuts $planned): void
    {
        foreach ($planned->changed as $number => $sheet) {
            $job->kept[$number]->put($sheet);
        }
        foreach ([...$job->ready, ...$planned->opened] as [$item, $sheet]) {
            $this->entities->persist(
                new SheetOnTable($kit, $this->entities->find(Item::class, $item) ?? throw new \LogicException('Stock is in the room.'), $sheet),
            );
        }
        $this->entities->flush();
    }

    /** The list wants of each paper as many as the plan opens, besides what a person has put on it. */
    private function putOnList(Kit $kit): void
    {
        $wanted = [];
        foreach ($this->cutting->sheets($kit) as $row) {
            $wanted[(int) $row->item->id] = ($wanted[(int) $row->item->id] ?? 0) + 1;
        }
        foreach ($this->entities->getRepository(Need::class)->findBy(['kit' => $kit]) as $need) {
            $sheets = $wanted[(int) $need->item->id] ?? 0;
            unset($wanted[(int) $need->item->id]);
            if ($sheets !== $need->toCut()) {
                $need->isWantedWithCuts($sheets) ? $need->wantForCuts($sheets) : $this->entities->remove($need);
            }
        }
        foreach ($wanted as $item => $sheets) {
            $this->list->addForCuts($kit, $this->entities->find(Item::class, $item) ?? throw new \LogicException('Stock is in the room.'), $sheets);
        }
        $this->entities->flush();
    }

    /** How good the plan is now of what is not begun, and cut. */
    private function scoreOfPlan(Kit $kit, CutJob $job): Score
    {
        $pieces = $this->cutting->pieces($kit);
        $numbers = array_flip(array_keys($pieces));
        $left = $job->lacking;
        $stocks = $used = [];
        foreach ($this->cutting->sheets($kit) as $row) {
            $sheet = $row->sheet();
            if ($row->isLogged || $sheet->isBegun() || $sheet->isReady()) {
                continue;
            }
            $part = $sheet->root->part();
            foreach ($part->leaves() as $leaf) {
                if (null !== $leaf->piece) {
                    --$left[$leaf->piece];
                    $leaf->piece = $numbers[$leaf->piece];
                }
            }
            $used[] = new CutStock(\count($stocks), $part);
            $stocks[] = new Stock('', $part->width, $part->height, 1, '', $row->isWhole());
        }
        $unplaced = [];
        foreach (array_filter($left, static fn (int $many): bool => $many > 0) as $number => $many) {
            $unplaced[$numbers[$number]] = $many;
        }
        $all = array_map(static fn (PieceToCut $piece): Piece => $piece->planned($piece->quantity, ''), array_values($pieces));

        return (new CutPlan($all, $stocks, $used, $unplaced))->score;
    }

    private function trimmer(): TrimmerColumns
    {
        return $this->rooms->all()[0]->trimmer;
    }
}
