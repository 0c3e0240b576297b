<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\Contact;
use App\Platform\Steps\Step;
use App\Platform\Web\Measures;
use App\Platform\Web\RoomClock;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;

/** A thing of the room goes to somebody for a while, and comes back. */
final readonly class LendThing
{
    private const LABEL = 24;

    public function __construct(
        private EntityManagerInterface $entities,
        private LogBook $log,
        private Places $places,
        private KeepHomes $homes,
        private Loans $loans,
        private Measures $measures,
        private RoomClock $roomClock,
    ) {
    }

    /**
     * @param int $quantity as its tracking counts; what moves whole goes whole
     *
     * @throws CannotLend if it is out, is not ours, or there is not so much
     */
    public function __invoke(Step $step, Item $item, int $quantity, Contact $contact, ?\DateTimeImmutable $until, string $note = ''): Loan
    {
        $this->checkMayGo($item);
        $stored = $this->log->stored((int) $item->id);
        $there = array_sum($stored);
        $moving = $item->tracking->movesWhole() ? $there : $quantity;
        if ($moving > $there) {
            throw CannotLend::fewerAreThere($item->name, $this->measures->quantities()->print($there, $item->tracking));
        }
        $person = $this->placeOf($contact);
        $this->carry($step, $item, $moving, $stored, $person, trim('to '.$contact->name.'. '.$note, ' .'));
        $loan = new Loan($item, $contact, LoanWay::Lent, $moving, $this->roomClock->today(), $until, $person, $note);
        $this->entities->persist($loan);

        return $loan;
    }

    /** How much of a thing is in the drawers. */
    public function there(Item $item): int
    {
        return array_sum($this->log->stored((int) $item->id));
    }

    /**
     * So much of it is back, in its home or where it was laid.
     *
     * @throws CannotLend if less of it is out
     */
    public function back(Step $step, Loan $loan, int $quantity, ?Place $to): Place
    {
        $to ??= $this->homes->homeOrHeap($loan->item);
        $this->end($step, $loan, $quantity, $to, Reason::PutBack, 'back from '.$loan->contact->name);

        return $to;
    }

    /** The rest of it does not come back. */
    public function lost(Step $step, Loan $loan): void
    {
        $this->end($step, $loan, $loan->open(), $this->places->outside(Outside::Lost), Reason::Lose, 'did not come back from '.$loan->contact->name);
    }

    private function end(Step $step, Loan $loan, int $quantity, Place $to, Reason $reason, string $note): void
    {
        $person = $loan->place ?? throw CannotLend::isNotThere($loan->item->name);
        $moving = $loan->item->tracking->movesWhole() ? $loan->open() : $quantity;
        $loan->end(max(1, $moving));
        $this->log->move($step, $loan->item->moves($moving, $person, $to, $reason), null, $note);
    }

    private function checkMayGo(Item $item): void
    {
        $owner = $this->loans->owner($item);
        if (null !== $owner) {
            throw CannotLend::isNotOurs($item->name, $owner->name);
        }
        if ([] === $this->log->stored((int) $item->id)) {
            $where = $this->loans->whereOut($item);
            throw null === $where ? CannotLend::isNotThere($item->name) : CannotLend::isOut($item->name, $where);
        }
    }

    /**
     * Takes from one drawer after the other.
     *
     * @param array<int, int> $stored
     */
    private function carry(Step $step, Item $item, int $quantity, array $stored, Place $person, string $note): void
    {
        $this->entities->flush();
        foreach ($stored as $place => $there) {
            $taken = min($quantity, $there);
            if ($taken > 0) {
                $moves = $item->moves($taken, $this->places->storeNumber($place), $person, Reason::Lend);
                $this->log->move($step, $moves, null, $note);
                $quantity -= $taken;
            }
        }
    }

    private function placeOf(Contact $contact): Place
    {
        $known = $this->loans->placeOf($contact);
        if (null !== $known) {
            return $known;
        }
        $name = Loans::nameFor($contact);
        $address = mb_substr($name, 0, self::LABEL);
        for ($more = 2; null !== $this->places->at($address); ++$more) {
            $address = mb_substr($name, 0, self::LABEL - 4).' '.$more;
        }
        $this->entities->persist($place = Place::withPerson($address, $name));

        return $place;
    }
}
