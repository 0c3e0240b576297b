<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\DayNote;
use App\Calendar\Year\DayNotes;
use Lottel\Core\Year\Day;

/** The days on which what is lent is to come back, and what is borrowed is to go home. */
final readonly class LoansInYear implements DayNotes
{
    public function __construct(private Loans $loans)
    {
    }

    public function between(Day $first, Day $last, Day $today): array
    {
        $notes = [];
        foreach ($this->loans->open() as $loan) {
            $until = null === $loan->until ? null : Day::of($loan->until);
            if (null !== $until && $until->number >= $first->number && $until->number <= $last->number) {
                $text = LoanWay::Lent === $loan->way
                    ? \sprintf('%s comes back from %s', $loan->item->name, $loan->contact->name)
                    : \sprintf('%s goes back to %s', $loan->item->name, $loan->contact->name);
                $notes[] = new DayNote('loan-'.$loan->id, $until, $text, 'loans', isLate: $until->number < $today->number);
            }
        }

        return $notes;
    }
}
