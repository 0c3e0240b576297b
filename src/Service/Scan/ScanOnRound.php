<?php

declare(strict_types=1);

namespace App\Service\Scan;

use App\Entity\Item;
use App\Entity\Kit;
use App\Entity\Need;
use App\Entity\Place;
use App\Reading\KitReading;
use App\Service\Kit\PullItem;
use App\Service\Kit\ReturnItem;
use App\Service\Step;
use App\Service\Stores\KeepHomes;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Words\Counted;

/** What scanning a label does while a round goes on: it confirms the stop, or the one thing, or says what is wrong. */
final readonly class ScanOnRound
{
    public function __construct(private EntityManagerInterface $entities, private KitReading $kits, private PullItem $pull, private ReturnItem $return, private KeepHomes $homes)
    {
    }

    /**
     * Takes what the round wants from a place, or one thing of it; says what was done.
     *
     * @throws WrongDrawer if the label belongs to nothing that is still to be pulled
     */
    public function pull(Step $step, Kit $kit, Scanned $scanned): string
    {
        $stops = $this->kits->pullRound((int) $kit->id)['stops'];
        $taken = [];
        foreach ($stops as $stop) {
            foreach ($stop['things'] as $thing) {
                $isIt = null !== $scanned->item ? (int) $thing['item_id'] === $scanned->item->id : (int) $stop['place_id'] === $scanned->place?->id;
                if ($isIt) {
                    $this->pull->take($step, $this->need((int) $thing['id']), $this->place((int) $stop['place_id']), (int) $thing['take']);
                    $taken[] = (string) $thing['name'];
                }
            }
        }
        if ([] === $taken) {
            throw null !== $scanned->item ? WrongDrawer::notOnList($scanned->item->name) : $this->wrong($scanned->place, $stops, true);
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
        $stops = $this->kits->returnRound((int) $kit->id)['stops'];
        $home = [];
        foreach ($stops as $stop) {
            foreach ($stop['things'] as $thing) {
                $isIt = null !== $scanned->item ? (int) $thing['item_id'] === $scanned->item->id : (int) $stop['place_id'] === $scanned->place?->id;
                if ($isIt) {
                    $item = $this->entities->find(Item::class, (int) $thing['item_id']);
                    \assert(null !== $item);
                    $this->return->home($step, $kit, $item, $this->homes->homeOrHeap($item), $cared);
                    $home[] = $item->name;
                }
            }
        }
        if ([] === $home) {
            throw null !== $scanned->item ? WrongDrawer::notOnTray($scanned->item->name) : $this->wrong($scanned->place, $stops, false);
        }

        return Counted::sentence($home, 'home.');
    }

    /** @param list<array<string, mixed>> $stops */
    private function wrong(?Place $place, array $stops, bool $isPull): WrongDrawer
    {
        $here = $place->address ?? '';
        $next = $stops[0] ?? null;
        if (null === $next) {
            return WrongDrawer::noStopLeft($here);
        }
        $thing = (string) $next['things'][0]['name'];

        return $isPull ? WrongDrawer::onPull($here, $thing, (string) $next['address']) : WrongDrawer::onReturn($here, $thing, (string) $next['address']);
    }

    private function need(int $id): Need
    {
        return $this->entities->find(Need::class, $id) ?? throw new \LogicException('A line of the round is gone.');
    }

    private function place(int $id): Place
    {
        return $this->entities->find(Place::class, $id) ?? throw new \LogicException('A place of the round is gone.');
    }
}
