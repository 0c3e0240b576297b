<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\KeepHomes;
use App\Room\Labels\Scanned;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Lottel\Core\Round\Purpose;
use Lottel\Core\Round\Round;
use Lottel\Core\Round\RoundLine;
use Lottel\Core\Words\Counted;

/** What scanning a label does while a round goes on: it confirms the stop, or the one thing, or says what is wrong. */
final readonly class ScanOnRound
{
    public function __construct(
        private RoundReading $rounds,
        private Kits $kits,
        private Items $items,
        private Places $places,
        private PullItem $pull,
        private ReturnItem $return,
        private KeepHomes $homes,
    ) {
    }

    /**
     * Takes what the round wants from a place, or one thing of it; says what was done.
     *
     * @throws WrongDrawer if the label belongs to nothing that is still to be pulled
     */
    public function pull(Step $step, Kit $kit, Scanned $scanned): string
    {
        $round = $this->rounds->ofPull((int) $kit->id);
        $taken = [];
        foreach ($this->meant($round, $scanned) as $line) {
            $this->pull->take($step, $this->kits->need((int) $kit->id, $line->id), $this->places->storeNumber($line->place), $line->quantity);
            $taken[] = $line->name;
        }
        if ([] === $taken) {
            throw null !== $scanned->item ? WrongDrawer::notOnList($scanned->item->name) : $this->wrong($scanned->place, $round);
        }

        return Counted::sentence($taken, 'on '.$kit->trayInUse()->address.'.');
    }

    /**
     * Brings home what goes into a place, or one thing; says what was done.
     *
     * @param list<string> $cared what has been ticked as done
     *
     * @throws WrongDrawer if the label belongs to nothing that is still on the tray
     */
    public function bringHome(Step $step, Kit $kit, Scanned $scanned, array $cared): string
    {
        $round = $this->rounds->ofReturn((int) $kit->id);
        $home = [];
        foreach ($this->meant($round, $scanned) as $line) {
            $item = $this->items->one($line->item);
            $this->return->home($step, $kit, $item, $this->homes->homeOrHeap($item), $cared);
            $home[] = $item->name;
        }
        if ([] === $home) {
            throw null !== $scanned->item ? WrongDrawer::notOnTray($scanned->item->name) : $this->wrong($scanned->place, $round);
        }

        return Counted::sentence($home, 'home.');
    }

    /** @return list<RoundLine> what a label means: all lines of a place, or those of one thing */
    private function meant(Round $round, Scanned $scanned): array
    {
        return null !== $scanned->item ? $round->linesOf((int) $scanned->item->id) : $round->at((int) $scanned->place?->id)->lines ?? [];
    }

    private function wrong(?Place $place, Round $round): WrongDrawer
    {
        $here = $place->address ?? '';
        $next = $round->next();
        if (null === $next) {
            return WrongDrawer::noStopLeft($here);
        }
        $thing = $next->lines[0]->name;

        return Purpose::Pull === $round->purpose
            ? WrongDrawer::onPull($here, $thing, $next->at->address)
            : WrongDrawer::onReturn($here, $thing, $next->at->address);
    }
}
