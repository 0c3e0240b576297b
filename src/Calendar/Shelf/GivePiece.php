<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Contact;
use App\Calendar\Year\Occasion;
use App\Calendar\Year\SetAside;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Reason;
use Lottel\Core\Year\Day;

/** A finished piece leaves the room: given, sent or sold. */
final readonly class GivePiece
{
    public function __construct(private EntityManagerInterface $entities, private LogBook $log, private Places $places, private ShelfReading $shelf)
    {
    }

    /**
     * @param bool $anyway whether it is to go although the person had the same before
     *
     * @throws CannotGive if there are not so many, those that are left are kept for other days, or the person had the same before
     */
    public function __invoke(
        Step $step,
        Item $item,
        int $quantity,
        GiftWay $way,
        ?Contact $contact,
        Day $day,
        ?int $cents = null,
        string $note = '',
        ?Occasion $occasion = null,
        ?Day $occasionDay = null,
        bool $anyway = false,
    ): Gift {
        $piece = $this->shelf->one((int) $item->id);
        $kept = null === $occasion || null === $occasionDay ? null : $this->asideFor($item, $occasion, $occasionDay);
        if ($quantity > $piece->there) {
            throw CannotGive::notSoMany($item->name, $piece->there);
        }
        if ($quantity > $piece->free() + (null === $kept ? 0 : 1)) {
            throw CannotGive::isKept($item->name, $piece->free(), $piece->aside);
        }
        if (null !== $contact && !$anyway && GiftWay::Sold !== $way && \in_array((int) $item->id, $this->shelf->hadBy((int) $contact->id), true)) {
            throw CannotGive::hadBefore($contact->name, $item->name, $this->lastGiven($item, $contact));
        }
        $movement = $this->moved($step, $item, $quantity, $way, null === $contact ? $note : trim('to '.$contact->name.'. '.$note, ' .'));
        $gift = new Gift($item, $contact, $movement, $way, $quantity, $day->date(), $cents, $note);
        $gift->dedicateTo($occasion, $occasionDay?->date());
        $this->entities->persist($gift);
        if (null !== $kept) {
            $this->entities->remove($kept);
        }

        return $gift;
    }

    /** Takes from one drawer after the other; returns the last line of the log. */
    private function moved(Step $step, Item $item, int $quantity, GiftWay $way, string $note): int
    {
        $line = 0;
        foreach ($this->log->stored((int) $item->id) as $place => $there) {
            $taken = min($quantity, $there);
            if ($taken > 0) {
                $from = $this->places->storeNumber($place);
                $line = $this->log->move($step, $item->moves($taken, $from, $this->places->outside($way->to()), Reason::Discard), null, $note);
                $quantity -= $taken;
            }
        }

        return $quantity > 0 ? throw CannotGive::notSoMany($item->name, 0) : $line;
    }

    private function asideFor(Item $item, Occasion $occasion, Day $day): ?SetAside
    {
        return $this->entities->getRepository(SetAside::class)->findOneBy(['item' => $item, 'occasion' => $occasion, 'day' => $day->date()]);
    }

    private function lastGiven(Item $item, Contact $contact): ?\DateTimeImmutable
    {
        return $this->entities->getRepository(Gift::class)->findOneBy(['item' => $item, 'contact' => $contact], ['day' => 'DESC'])?->day;
    }
}
