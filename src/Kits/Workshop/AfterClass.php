<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\Kit;
use App\Kits\Making\WorkAtBench;
use App\Kits\Rounds\BringHome;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Workshop\CameBack;
use Lottel\Core\Workshop\InvalidWorkshop;

/** What came back from a class against what left: the rest was handed out, or is missing; then all of it goes home. */
final readonly class AfterClass
{
    public function __construct(private LogBook $log, private Places $places, private WorkAtBench $bench, private BringHome $home)
    {
    }

    /**
     * @param list<array{Item, int}> $back how much of which thing of the tray came back, in what its tracking counts
     *
     * @return list<array{Item, CameBack}> what did not, whole or in part
     *
     * @throws InvalidWorkshop if more came back than left
     */
    public function __invoke(Step $step, Kit $kit, array $back): array
    {
        $tray = $kit->trayInUse();
        $short = [];
        foreach ($back as [$item, $quantity]) {
            $came = CameBack::of($this->log->quantity((int) $item->id, (int) $tray->id), $quantity, !$item->kind->lasts());
            if ($came->handedOut > 0) {
                $this->bench->useUp($step, $kit, $item, $came->handedOut, 'handed out in the class');
            }
            if ($came->missing > 0) {
                $lost = $item->moves($came->missing, $tray, $this->places->outside(Outside::Lost), Reason::Lose);
                $this->log->move($step, $lost, $kit->inLog(), 'did not come back from the class');
            }
            if ($came->handedOut + $came->missing > 0) {
                $short[] = [$item, $came];
            }
        }
        $kit->beginMaking();
        $this->home->begin($kit);

        return $short;
    }
}
