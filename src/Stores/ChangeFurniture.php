<?php

declare(strict_types=1);

namespace App\Stores;

use App\Catalogue\Item;
use App\Find\FindIndex;
use App\Labels\LabelQueue;
use App\Log\LogBook;
use App\Steps\Step;
use App\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\Front;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Log\Reason;
use Lottel\Core\Measure\Length;

/** Changes furniture that is in use. Contents, homes and history stay; labels that are no longer true are to be printed again. */
final readonly class ChangeFurniture
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database, private LogBook $log, private FindIndex $index, private LabelQueue $labels, private ArrangeRoom $arrange)
    {
    }

    /**
     * Adds a row of places at the bottom of a unit, which grows by it.
     *
     * @return list<Place>
     */
    public function addRow(Unit $unit, ?Length $height): array
    {
        $last = $this->lowest($unit);
        $row = array_values(array_filter($this->fronts($unit), static fn (Place $place): bool => $place->frontY === $last->frontY));
        $ticks = $height->ticks ?? (int) $last->frontHeight;
        $added = [];
        foreach ($row as $above) {
            $front = new Front(Length::ofTicks((int) $above->frontX), Length::ofTicks((int) $last->frontY + (int) $last->frontHeight), Length::ofTicks((int) $above->frontWidth), Length::ofTicks($ticks));
            $added[] = $this->newPlace($unit, $above, $front);
        }
        $unit->height += $ticks;

        return $added;
    }

    /**
     * Parts a place; what is in it stays in the first part, which keeps the address.
     *
     * @return list<Place> the new ones
     *
     * @throws InvalidUnit if it cannot be parted so
     */
    public function split(Place $place, int $parts, bool $isSideBySide): array
    {
        $front = $place->front() ?? throw StepRefused::hasNoFront($place->address);
        $fronts = $front->parted($parts, $isSideBySide);
        $this->putFront($place, $fronts[0]);
        \assert(null !== $place->unit);

        return array_map(fn (Front $part): Place => $this->newPlace($place->unit, $place, $part), \array_slice($fronts, 1));
    }

    /**
     * Makes two places one: what is in the second, and what has its home there, comes into the first; the second is retired.
     *
     * @throws InvalidUnit if they do not make one front together
     */
    public function merge(Step $step, Place $place, Place $with): void
    {
        if ($place === $with) {
            throw StepRefused::withItself($place->address);
        }
        $joined = null === $place->front() || null === $with->front() || $place->unit !== $with->unit ? null : $place->front()->joined($with->front());
        if (null === $joined) {
            throw InvalidUnit::notSideBySide($place->address, $with->address);
        }
        foreach ($this->innerOf($with) as $inner) {
            $this->moveInto($inner, $place);
        }
        $this->empty($step, $with, $place);
        $this->putFront($place, $joined);
        $this->retire($step, $with);
    }

    /** Moves all that is in a place, and all homes, to another; also what is in its inner places. */
    public function empty(Step $step, Place $from, Place $to): int
    {
        if ($this->isWithin($to, $from)) {
            throw StepRefused::intoItself($from->address, $to->address);
        }
        $moved = 0;
        foreach ([$from, ...$this->allInner($from)] as $place) {
            $moved += $this->moveContents($step, $place, $to);
        }

        return $moved;
    }

    /** Takes an empty place out of use; its log stays. */
    public function retire(Step $step, Place $place): void
    {
        foreach ([...array_reverse($this->allInner($place)), $place] as $gone) {
            if (!$this->isUnused($gone)) {
                throw StepRefused::isNotEmpty($gone->address);
            }
            $gone->retiredAt = $step->at;
            $gone->putFront(null);
            $gone->address = Place::retiredAddress($gone->address, (int) $gone->id);
            $gone->parent = null;
            $this->labels->forget($gone);
            $this->index->forgetPlace($gone);
        }
        $this->entities->flush();
    }

    /** Gives a place another address; inner places follow. */
    public function readdress(Place $place, Address $address): void
    {
        $new = (string) $address;
        if ($new === $place->address) {
            return;
        }
        if (null !== $this->entities->getRepository(Place::class)->findOneBy(['address' => $new])) {
            throw StepRefused::addressIsTaken($new);
        }
        if (null !== $place->unit && $address->unit() !== $place->unit->letters) {
            throw StepRefused::otherUnit($new, $place->unit->letters);
        }
        $this->rename([[$place, $new]]);
    }

    /** Numbers the places of a unit anew, from top to bottom and from left to right; returns how many changed. */
    public function renumber(Unit $unit): int
    {
        $places = $this->fronts($unit);
        usort($places, static fn (Place $a, Place $b): int => [$a->frontY, $a->frontX] <=> [$b->frontY, $b->frontX]);
        $names = [];
        foreach ($places as $index => $place) {
            $new = (string) Address::of($unit->letters, $index + 1);
            if ($new !== $place->address) {
                $names[] = [$place, $new];
            }
        }
        $this->rename($names);

        return \count($names);
    }

    /** Puts an inner place, such as a tray or a box, into another place, with all that is in it. */
    public function moveInto(Place $place, Place $outer): void
    {
        if (null === $place->parent) {
            throw StepRefused::hasNoFrontToMove($place->address);
        }
        if ($outer === $place || $this->isWithin($outer, $place)) {
            throw StepRefused::intoItself($place->address, $outer->address);
        }
        $label = ltrim((string) strrchr($place->address, '.'), '.');
        $new = $this->freeInner($outer, $label);
        $place->parent = $outer;
        [$place->cellX, $place->cellY, $place->cellWidth, $place->cellHeight] = [null, null, null, null];
        foreach ([$place, ...$this->allInner($place)] as $one) {
            $one->unit = $outer->unit;
        }
        $this->rename([[$place, $new]]);
    }

    /** Takes a unit out of the room; only one without anything in it. */
    public function retireUnit(Step $step, Unit $unit): void
    {
        foreach ($this->fronts($unit) as $place) {
            $this->retire($step, $place);
        }
        $unit->letters = $this->freeOldLetters();
        $unit->name = mb_substr($unit->name.' (gone)', 0, 120);
        $unit->planX = $unit->planY = null;
        $this->entities->flush();
        $this->arrange->number();
    }

    private function freeOldLetters(): string
    {
        for ($number = 1;; ++$number) {
            if (null === $this->entities->getRepository(Unit::class)->findOneBy(['letters' => '~'.$number])) {
                return '~'.$number;
            }
        }
    }

    private function newPlace(Unit $unit, Place $like, Front $front): Place
    {
        $place = Place::inUnit($unit, $like->kind, $this->freeNumber($unit), '', $front);
        $place->sayAs($like);
        $place->putInside($front->inside($unit->kind(), Length::ofTicks($unit->depth)));
        $place->mostGrams = $like->mostGrams;
        $this->entities->persist($place);
        $this->index->place($place);
        $this->labels->wishForPlace($place, 'new');

        return $place;
    }

    private function freeNumber(Unit $unit): string
    {
        $highest = 0;
        foreach ($this->fronts($unit) as $place) {
            $highest = preg_match('/^[A-Z]+(\d+)/', $place->address, $m) ? max($highest, (int) $m[1]) : $highest;
        }

        return (string) Address::of($unit->letters, $highest + 1);
    }

    private function freeInner(Place $outer, string $label): string
    {
        for ($try = $label;; ++$try) {
            $address = (string) Address::parse($outer->address)->inner($try);
            if (null === $this->entities->getRepository(Place::class)->findOneBy(['address' => $address])) {
                return $address;
            }
        }
    }

    private function putFront(Place $place, Front $front): void
    {
        $place->putFront($front);
        if (null !== $place->unit) {
            $place->putInside($front->inside($place->unit->kind(), Length::ofTicks($place->unit->depth)));
        }
    }

    /** @return list<Place> those of a unit that are seen from the front */
    private function fronts(Unit $unit): array
    {
        return array_values(array_filter($this->entities->getRepository(Place::class)->findBy(['unit' => $unit], ['id' => 'ASC']), static fn (Place $place): bool => null !== $place->frontX && null === $place->retiredAt));
    }

    private function lowest(Unit $unit): Place
    {
        $places = $this->fronts($unit);
        usort($places, static fn (Place $a, Place $b): int => (int) $b->frontY + (int) $b->frontHeight <=> (int) $a->frontY + (int) $a->frontHeight);

        return $places[0] ?? throw StepRefused::hasNoPlaces($unit->letters);
    }

    /** @return list<Place> */
    private function innerOf(Place $place): array
    {
        return $this->entities->getRepository(Place::class)->findBy(['parent' => $place], ['id' => 'ASC']);
    }

    /** @return list<Place> to any depth, the outer ones first */
    private function allInner(Place $place): array
    {
        $all = [];
        foreach ($this->innerOf($place) as $inner) {
            $all = [...$all, $inner, ...$this->allInner($inner)];
        }

        return $all;
    }

    private function isWithin(Place $place, Place $outer): bool
    {
        for ($at = $place; null !== $at; $at = $at->parent) {
            if ($at === $outer) {
                return true;
            }
        }

        return false;
    }

    private function isUnused(Place $place): bool
    {
        return false === $this->database->fetchOne('SELECT 1 FROM balance WHERE place_id = ?', [$place->id]) && false === $this->database->fetchOne('SELECT 1 FROM item WHERE home_id = ?', [$place->id]);
    }

    private function moveContents(Step $step, Place $from, Place $to): int
    {
        $this->entities->flush();
        $balances = $this->database->fetchAllKeyValue('SELECT item_id, quantity FROM balance WHERE place_id = ?', [$from->id]);
        foreach ($balances as $id => $quantity) {
            $item = $this->entities->find(Item::class, $id);
            \assert(null !== $item);
            $this->log->move($step, $item, (int) $quantity, $from, $to, Reason::Move, null, 'with all that was in '.$from->address);
        }
        foreach ($this->entities->getRepository(Item::class)->findBy(['home' => $from]) as $item) {
            $item->home = $to;
            $this->index->item($item);
        }

        return \count($balances);
    }

    /** @param list<array{Place, string}> $names new addresses; inner places follow */
    private function rename(array $names): void
    {
        $changed = [];
        foreach ($names as [$place, $new]) {
            foreach ([$place, ...$this->allInner($place)] as $one) {
                $changed[] = [$one, $new.substr($one->address, \strlen($place->address))];
            }
        }
        // Two steps, since the new address of one may be the old one of another.
        foreach ($changed as [$place]) {
            $place->address = '~'.$place->id;
        }
        $this->entities->flush();
        foreach ($changed as [$place, $new]) {
            $place->address = (string) Address::parse($new);
        }
        $this->entities->flush();
        foreach ($changed as [$place]) {
            $this->index->place($place);
            foreach ($this->entities->getRepository(Item::class)->findBy(['home' => $place]) as $item) {
                $this->index->item($item);
            }
            $this->labels->wishForPlace($place, 'renamed');
        }
    }
}
