<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Cutting\RefusedCut;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Words\Counted;

/** One cut at the trimmer, through all parts that lie on each other; what is done with it is logged. */
final readonly class MakeCut
{
    public function __construct(
        private EntityManagerInterface $entities,
        private TableReading $table,
        private CuttingOfKit $cutting,
        private PlanCuts $plan,
        private LogCuts $log,
    ) {
    }

    /**
     * @param list<string> $parts what lies under the blade, as CuttingTable::named() reads it
     * @param int $setting what the trimmer was set to, in ticks
     *
     * @throws StepRefused if one of them is not on the table
     * @throws RefusedCut if a cut was made in the meantime, or is another one
     * @throws RefusedStage if the kit has no tray
     */
    public function __invoke(Step $step, Kit $kit, array $parts, int $setting): LoggedCuts
    {
        $kit->trayInUse();
        $kit->beginMaking();
        foreach ($this->under($kit, $parts) as [$row, $name]) {
            $part = $row->sheet()->root->inHand()[$name] ?? throw RefusedCut::isNotInHand();
            if (!\in_array($setting, $part->part()->settings(), true)) {
                throw RefusedCut::isNotInHand();
            }
            $row->put($row->sheet()->cut($name));
        }
        $this->cutting->plan($kit)->setFence($setting);
        $this->entities->flush();

        return ($this->log)($step, $kit);
    }

    /**
     * The cut was made at another place; what it spoilt is planned anew.
     *
     * @param list<string> $parts those that it was made through
     * @param int $at from the left or upper edge, in ticks
     *
     * @throws StepRefused if one of them is not on the table
     * @throws RefusedCut if a cut was made in the meantime, or that is not inside the part
     */
    public function wrong(Step $step, Kit $kit, array $parts, int $at, LengthFormat $lengths): string
    {
        $kit->trayInUse();
        $kit->beginMaking();
        $lost = [];
        foreach ($this->under($kit, $parts) as [$row, $name]) {
            $spoilt = $row->sheet()->root->inHand()[$name] ?? throw RefusedCut::isNotInHand();
            foreach ($spoilt->pieces() as $piece => $many) {
                $lost[$piece] = ($lost[$piece] ?? 0) + $many;
            }
            $row->put($row->sheet()->cutWrong($name, $at));
        }
        ($this->plan)($kit);
        $logged = ($this->log)($step, $kit);
        $table = $this->table->of($kit);
        $names = array_map(static fn (int $piece, int $many): string => Counted::of($many, $table->pieces[$piece]->name), array_keys($lost), $lost);
        $pull = array_sum($table->papersToPull());

        return ([] === $names ? 'That spoilt nothing.' : \sprintf('That spoilt %s; planned anew.', Counted::names($names, 'kind')))
            .($pull > 0 ? \sprintf(' %s to be pulled.', ucfirst(Counted::of($pull, 'sheet').' '.Counted::verb($pull))) : '')
            .($table->isShort() ? ' There is not enough paper for all of it.' : '')
            .($logged->isNothing() ? '' : ' '.$logged->sentence($lengths));
    }

    /**
     * No more is cut of what is begun: it is logged as it lies there, and its pieces that are lacking are planned anew.
     *
     * @throws StepRefused if nothing is half cut
     */
    public function stop(Step $step, Kit $kit): LoggedCuts
    {
        $kit->trayInUse();
        $kit->beginMaking();
        $begun = array_filter(
            $this->cutting->sheets($kit),
            static fn (SheetOnTable $row): bool => !$row->isLogged && $row->sheet()->isBegun() && !$row->sheet()->isDone(),
        );
        if ([] === $begun) {
            throw CuttingRefused::nothingIsHalfCut();
        }
        foreach ($begun as $row) {
            $row->put($row->sheet()->stopped());
        }
        $this->entities->flush();
        $logged = ($this->log)($step, $kit);
        ($this->plan)($kit);

        return $logged;
    }

    /** So many more of a piece are scored. */
    public function score(Kit $kit, PieceToCut $piece, int $many): void
    {
        $kit->trayInUse();
        $kit->beginMaking();
        if ($many > $this->table->of($kit)->unscored($piece)) {
            throw CuttingRefused::isScoredAlready($piece->name);
        }
        $piece->score($many);
    }

    /**
     * @param list<string> $parts
     *
     * @return list<array{SheetOnTable, string}>
     */
    private function under(Kit $kit, array $parts): array
    {
        $named = $this->table->of($kit)->named($parts);

        return [] === $named ? throw RefusedCut::isNotInHand() : $named;
    }
}
