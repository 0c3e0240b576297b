<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\Contact;
use App\Platform\Steps\Step;
use App\Platform\Web\RoomClock;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\TakeIn;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;

/** A thing of somebody else comes into the room for a while, and goes home to its owner. */
final readonly class BorrowThing
{
    public function __construct(
        private EntityManagerInterface $entities,
        private TakeIn $takeIn,
        private LogBook $log,
        private Places $places,
        private Loans $loans,
        private RoomClock $roomClock,
    ) {
    }

    public function __invoke(Step $step, PastedThing $thing, ?Place $home, Contact $contact, ?\DateTimeImmutable $until, string $note = ''): Loan
    {
        $item = $this->takeIn->one($step, $home ?? $this->places->heap(), $thing, 'from '.$contact->name, Outside::Borrowed);
        $loan = new Loan($item, $contact, LoanWay::Borrowed, $thing->quantity, $this->roomClock->today(), $until, null, $note);
        $this->entities->persist($loan);

        return $loan;
    }

    /**
     * It goes home to its owner, all that is left of it.
     *
     * @throws CannotLend if it is on a tray, or nothing of it is left
     */
    public function giveBack(Step $step, Loan $loan): int
    {
        $stored = $this->log->stored((int) $loan->item->id);
        if ([] === $stored) {
            $where = $this->loans->whereOut($loan->item);
            throw null === $where ? CannotLend::isUsedUp($loan->item->name) : CannotLend::isOnTray($loan->item->name, $where);
        }
        $back = 0;
        foreach ($stored as $place => $there) {
            $moving = min($there, $loan->open() - $back);
            if ($moving > 0) {
                $this->move($step, $loan->item, $moving, $this->places->storeNumber($place), $loan->contact);
                $back += $moving;
            }
        }
        // Of a container that was used from, what is gone of its level is no part that is still open.
        $loan->end($loan->item->tracking->movesWhole() ? $loan->open() : $back);

        return $back;
    }

    /** What was used up or lost of it is settled with its owner in another way. */
    public function settle(Loan $loan): void
    {
        $loan->end($loan->open());
    }

    private function move(Step $step, Item $item, int $quantity, Place $from, Contact $contact): void
    {
        $this->log->move($step, $item->moves($quantity, $from, $this->places->outside(Outside::Borrowed), Reason::GiveBack), null, 'to '.$contact->name);
    }
}
