<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\Front;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Measure\Length;

/** Changes furniture that is in use. Contents, homes and history stay; labels that are no longer true are to be printed again. */
final readonly class ChangeFurniture
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private Places $places,
        private PlaceIndex $index,
        private PlaceLabels $labels,
        private ArrangeRoom $arrange,
    ) {
    }

    /**
     * Adds a row of places at the bottom of a unit, which grows by it.
     *
     * @return list<Place>
     */
    public function addRow(Unit $unit, ?Length $height): array
    {
        $last = $this->lowest($unit);
        $row = array_values(array_filter($this->places->frontsOf($unit), static fn (Place $place): bool => $place->frontY === $last->frontY));
        $ticks = $height->ticks ?? (int) $last->frontHeight;
        $added = [];
        foreach ($row as $above) {
            $front = new Front(
                Length::ofTicks((int) $above->frontX),
                Length::ofTicks((int) $last->frontY + (int) $last->frontHeight),
                Length::ofTicks((int) $above->frontWidth),
                Length::ofTicks($ticks),
            );
            $added[] = $this->newPlace($unit, $above, $front);
        }
        $unit->grow($ticks);

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
        $front = $place->front() ?? throw StoresRefused::hasNoFront($place->address);
        $fronts = $front->parted($parts, $isSideBySide);
        $this->putFront($place, $fronts[0]);
        \assert(null !== $place->unit);

        return array_map(fn (Front $part): Place => $this->newPlace($place->unit, $place, $part), \array_slice($fronts, 1));
    }

    /**
     * Gives a place the front that it makes together with another one, which is taken out of use; inner places come along.
     *
     * @throws InvalidUnit if they do not make one front together
     */
    public function join(Step $step, Place $place, Place $with): void
    {
        $joined = $this->joined($place, $with);
        foreach ($this->places->innerOf($with) as $inner) {
            $this->moveInto($inner, $place);
        }
        $this->putFront($place, $joined);
        $this->retire($step, $with);
    }

    /** @throws InvalidUnit if they do not make one front together */
    public function joined(Place $place, Place $with): Front
    {
        if ($place === $with) {
            throw StoresRefused::withItself($place->address);
        }
        $joined = null === $place->front() || null === $with->front() || $place->unit !== $with->unit ? null : $place->front()->joined($with->front());

        return $joined ?? throw InvalidUnit::notSideBySide($place->address, $with->address);
    }

    /** Takes an empty place out of use; its log stays. */
    public function retire(Step $step, Place $place): void
    {
        foreach ([...array_reverse($this->places->allInner($place)), $place] as $gone) {
            if (!$this->isUnused($gone)) {
                throw StoresRefused::isNotEmpty($gone->address);
            }
            $this->checkNoFolderStandsIn($gone);
            $gone->retire($step->at);
            $this->labels->forgetPlace($gone);
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
        if (null !== $this->places->at($new)) {
            throw StoresRefused::addressIsTaken($new);
        }
        if (null !== $place->unit && $address->unit() !== $place->unit->letters) {
            throw StoresRefused::otherUnit($new, $place->unit->letters);
        }
        $this->rename([[$place, $new]]);
    }

    /** Numbers the places of a unit anew, from top to bottom and from left to right; returns how many changed. */
    public function renumber(Unit $unit): int
    {
        $places = $this->places->frontsOf($unit);
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
            throw StoresRefused::hasNoFrontToMove($place->address);
        }
        if ($outer === $place || $outer->isWithin($place)) {
            throw StepRefused::intoItself($place->address, $outer->address);
        }
        $label = ltrim((string) strrchr($place->address, '.'), '.');
        $new = $this->freeInner($outer, $label);
        $place->goInto($outer);
        foreach ([$place, ...$this->places->allInner($place)] as $one) {
            $one->standIn($outer->unit);
        }
        $this->rename([[$place, $new]]);
    }

    /** Takes a unit out of the room; only one without anything in it. */
    public function retireUnit(Step $step, Unit $unit): void
    {
        foreach ($this->places->frontsOf($unit) as $place) {
            $this->retire($step, $place);
        }
        $unit->retire($this->freeOldLetters());
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
        $place->bear($like->mostGrams);
        $this->entities->persist($place);
        $this->index->place($place);
        $this->labels->wishForPlace($place, 'new');

        return $place;
    }

    private function freeNumber(Unit $unit): string
    {
        $highest = 0;
        foreach ($this->places->frontsOf($unit) as $place) {
            $highest = 1 === preg_match('/^[A-Z]+(\d+)/', $place->address, $m) ? max($highest, (int) $m[1]) : $highest;
        }

        return (string) Address::of($unit->letters, $highest + 1);
    }

    private function freeInner(Place $outer, string $label): string
    {
        for ($try = $label;; ++$try) {
            $address = (string) Address::parse($outer->address)->inner($try);
            if (null === $this->places->at($address)) {
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

    private function lowest(Unit $unit): Place
    {
        $places = $this->places->frontsOf($unit);
        usort($places, static fn (Place $a, Place $b): int => (int) $b->frontY + (int) $b->frontHeight <=> (int) $a->frontY + (int) $a->frontHeight);

        return $places[0] ?? throw StoresRefused::hasNoPlaces($unit->letters);
    }

    /** @throws StepRefused if a folder in which a kit waits stands there */
    private function checkNoFolderStandsIn(Place $place): void
    {
        $folder = $this->database->fetchNumeric(
            'SELECT p.address, k.name FROM folder f JOIN place p ON p.id = f.place_id JOIN kit k ON k.tray_id = p.id WHERE f.home_id = ?',
            [$place->id],
        );
        if (false !== $folder) {
            throw StoresRefused::isHomeOfAFolder($place->address, Row::word($folder[0]), Row::word($folder[1]));
        }
    }

    private function isUnused(Place $place): bool
    {
        return false === $this->database->fetchOne('SELECT 1 FROM balance WHERE place_id = ?', [$place->id])
            && false === $this->database->fetchOne('SELECT 1 FROM item WHERE home_id = ? OR season_home_id = ?', [$place->id, $place->id]);
    }

    /** @param list<array{Place, string}> $names new addresses; inner places follow */
    private function rename(array $names): void
    {
        $changed = [];
        foreach ($names as [$place, $new]) {
            foreach ([$place, ...$this->places->allInner($place)] as $one) {
                $changed[] = [$one, $new.substr($one->address, \strlen($place->address))];
            }
        }
        // Two steps, since the new address of one may be the old one of another.
        foreach ($changed as [$place]) {
            $place->readdress('~'.$place->id);
        }
        $this->entities->flush();
        foreach ($changed as [$place, $new]) {
            $place->readdress((string) Address::parse($new));
        }
        $this->entities->flush();
        foreach ($changed as [$place]) {
            $this->index->readdressed($place);
            $this->labels->wishForPlace($place, 'renamed');
        }
    }
}
