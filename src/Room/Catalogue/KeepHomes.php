<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;

/** Where things belong, and bringing them there outside of a kit. */
final readonly class KeepHomes
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private LogBook $log,
        private Places $places,
        private ItemIndex $index,
        private ItemLabels $labels,
    ) {
    }

    /** Gives an item a home; what of it lies in the old home, or unfiled, moves along, and so does what shares its pocket. */
    public function giveHome(Step $step, Item $item, Place $home): void
    {
        if (!$home->isStorageInUse()) {
            throw StepRefused::notAPlaceOfStorage(RetiredAddress::onLabel($home->address));
        }
        foreach ([$item, ...$this->inOnePocket($item)] as $one) {
            $this->giveOneHome($step, $one, $home);
        }
    }

    /** Gives an item a home and brings there what of it lies in a place that is not its home. */
    public function moveTo(Step $step, Item $item, Place $home, ?Place $lies): void
    {
        $this->giveHome($step, $item, $home);
        $quantity = null === $lies ? 0 : $this->log->quantity((int) $item->id, (int) $lies->id);
        if (null !== $lies && $lies !== $home && $quantity > 0) {
            $this->log->move($step, $item->moves($quantity, $lies, $home, Reason::Move));
        }
    }

    /** @return list<Item> */
    private function inOnePocket(Item $item): array
    {
        $ids = $this->database->fetchFirstColumn(
            'SELECT CASE WHEN item_id = ? THEN other_id ELSE item_id END FROM companion WHERE (item_id = ? OR other_id = ?) AND is_together',
            [$item->id, $item->id, $item->id],
        );

        return array_values(array_filter(array_map(fn (mixed $id): ?Item => $this->entities->find(Item::class, $id), $ids)));
    }

    private function giveOneHome(Step $step, Item $item, Place $home): void
    {
        $old = $item->home;
        $item->giveHome($home);
        $item->giveHomeAfterSeason(self::seasonHome($item, $old, $home));
        $this->index->item($item);
        if (null !== $old && $old !== $home) {
            $this->labels->wishForThing($item, 'moved');
        }
        foreach (array_filter([$old, $this->places->heap()]) as $from) {
            $quantity = $this->log->quantity((int) $item->id, (int) $from->id);
            if ($quantity > 0 && $from !== $home) {
                $this->log->move($step, $item->moves($quantity, $from, $home, Reason::Move), null, null === $old ? 'got its first home' : 'got a new home');
            }
        }
    }

    /** Where it goes back to after the season, if its new home is one for the season at hand only. */
    private static function seasonHome(Item $item, ?Place $old, Place $home): ?Place
    {
        if (!$home->isForSeason) {
            return null;
        }

        return true === $old?->isForSeason ? $item->seasonHome : $old;
    }

    /** A lost thing turned up: all of it is in that place again. */
    public function foundAgain(Step $step, Item $item, Place $in): int
    {
        $lost = $this->places->outside(Outside::Lost);
        $quantity = $this->log->quantity((int) $item->id, (int) $lost->id);
        if ($quantity < 1) {
            throw CatalogueRefused::notLost($item->name);
        }
        $this->log->move($step, $item->moves($quantity, $lost, $in, Reason::FindAgain));

        return $quantity;
    }

    public function homeOrHeap(Item $item): Place
    {
        return null !== $item->home && PlaceNature::Storage === $item->home->nature ? $item->home : $this->places->heap();
    }
}
