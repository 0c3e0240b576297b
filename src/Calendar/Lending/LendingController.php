<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\Contacts;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is lent to whom, and what is borrowed from whom. */
final class LendingController extends Page
{
    private const SETTLED = 12;

    public function __construct(
        private readonly Loans $loans,
        private readonly LendThing $lend,
        private readonly BorrowThing $borrow,
        private readonly Contacts $contacts,
        private readonly Items $items,
        private readonly Places $places,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/loans', name: 'loans', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $open = $this->loans->open();
        $of = static fn (LoanWay $way): array => array_values(array_filter($open, static fn (Loan $loan): bool => $way === $loan->way));

        return $this->render('calendar/lending/loans.html.twig', [
            'lent' => $of(LoanWay::Lent),
            'borrowed' => $of(LoanWay::Borrowed),
            'settled' => $this->loans->settled(self::SETTLED),
            'contacts' => $this->contacts->all(),
            'kinds' => Kind::cases(),
            'today' => $this->roomClock->today(),
            'lit' => $this->room->lit(array_map(static fn (Loan $loan): ?int => $loan->item->home?->id, $open)),
            'problem' => $problem,
        ]);
    }

    /** The page of one thing: to whom, until when. */
    #[Route('/items/{id<[0-9]{1,12}>}/lend', name: 'lend', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function thing(int $id, ?Problem $problem = null): Response
    {
        $item = $this->items->one($id);

        return $this->render('calendar/lending/lend.html.twig', [
            'item' => $item,
            'there' => $this->lend->there($item),
            'loans' => $this->loans->of($id),
            'where_out' => $this->loans->whereOut($item),
            'wanted_by' => $this->loans->kitsThatWant($item),
            'contacts' => $this->contacts->all(),
            'lit' => $this->room->lit([$item->home?->id]),
            'problem' => $problem,
        ]);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/lend', name: 'lend_thing', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function lend(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $item = $this->items->one($id);
            $person = $input->text('person', 120, true);
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $until = $this->until($input);
            $note = $input->text('note', 200);
            $input->check();
            $contact = $this->contacts->named($person);
            ($this->lend)($step, $item, $quantity, $contact, $until, $note);

            return Outcome::undoable($this->generateUrl('loans'), \sprintf(
                '%s is lent to %s%s.',
                $item->name,
                $contact->name,
                null === $until ? '' : ' until '.$until->format('j F'),
            ));
        }, fn (Problem $problem): Response => $this->thing($id, $problem));
    }

    #[Route('/loans/{loan<[0-9]{1,12}>}/back', name: 'lent_back', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function back(Request $request, int $loan): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($loan): Outcome {
            $one = $this->loans->one($loan, LoanWay::Lent);
            $quantity = $input->isEmpty('quantity') ? $one->open() : $input->quantity('quantity', $one->item->tracking);
            $to = $this->places->chosen($input, 'address');
            $input->check();
            $place = $this->lend->back($step, $one, $quantity, $to);

            return $this->said(\sprintf('%s is back from %s, in %s.', $one->item->name, $one->contact->name, $place->address));
        }, $this->index(...));
    }

    #[Route('/loans/{loan<[0-9]{1,12}>}/lost', name: 'lent_lost', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function lost(Request $request, int $loan): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($loan): Outcome {
            $one = $this->loans->one($loan, LoanWay::Lent);
            $this->lend->lost($step, $one);

            return $this->said(\sprintf('%s is lost: it did not come back from %s.', $one->item->name, $one->contact->name));
        }, $this->index(...));
    }

    #[Route('/loans/{loan<[0-9]{1,12}>}/until', name: 'loan_until', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function extend(Request $request, int $loan): Response
    {
        return $this->write($request, function (Input $input) use ($loan): Outcome {
            $one = $this->loans->one($loan, $input->choice('way', LoanWay::class));
            $until = $this->until($input);
            $input->check();
            $one->extend($until);

            return $this->said(null === $until ? 'It has no date any more.' : \sprintf('%s: until %s.', $one->item->name, $until->format('j F Y')));
        }, $this->index(...));
    }

    #[Route('/loans/borrowed', name: 'borrow', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function borrow(Request $request): Response
    {
        return $this->write($request, function (Input $input, Step $step): Outcome {
            $person = $input->text('owner', 120, true);
            $line = $input->text('things', 400, true);
            $kind = $input->isEmpty('kind') ? null : $input->choice('kind', Kind::class);
            $home = $this->places->chosen($input, 'address');
            $until = $this->until($input);
            $input->check();
            $things = PastedThing::lines($line, new PlaceRule($kind), $this->measures->quantities(), $this->ownColours->words());
            if (1 !== \count($things)) {
                $input->refuse('things', 'One thing on one line, please.');
                $input->check();
            }
            $contact = $this->contacts->named($person);
            ($this->borrow)($step, $things[0], $home, $contact, $until);

            return Outcome::undoable($this->generateUrl('loans'), \sprintf(
                '%s of %s is in %s now.',
                $things[0]->name,
                $contact->name,
                null === $home ? 'the heap of what is not filed' : $home->address,
            ));
        }, $this->index(...));
    }

    #[Route('/loans/{loan<[0-9]{1,12}>}/give-back', name: 'give_back', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function giveBack(Request $request, int $loan): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($loan): Outcome {
            $one = $this->loans->one($loan, LoanWay::Borrowed);
            $back = $this->borrow->giveBack($step, $one);
            $open = $one->open();

            return $this->said(\sprintf(
                '%s %s back with %s%s.',
                $one->item->tracking->movesWhole() ? $one->item->name : $this->quantityInWords($back, $one->item->tracking).' of '.$one->item->name,
                $one->item->tracking->movesWhole() || 1 === $back ? 'is' : 'are',
                $one->contact->name,
                0 === $open ? '' : '; '.$this->quantityInWords($open, $one->item->tracking).' still open',
            ));
        }, $this->index(...));
    }

    #[Route('/loans/{loan<[0-9]{1,12}>}/settled', name: 'loan_settled', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function settle(Request $request, int $loan): Response
    {
        return $this->write($request, function () use ($loan): Outcome {
            $one = $this->loans->one($loan, LoanWay::Borrowed);
            $this->borrow->settle($one);

            return $this->said(\sprintf('%s is settled with %s.', $one->item->name, $one->contact->name));
        }, $this->index(...));
    }

    private function said(string $said): Outcome
    {
        return Outcome::undoable($this->generateUrl('loans'), $said);
    }

    private function until(Input $input): ?\DateTimeImmutable
    {
        $until = $input->nearDate('until', $this->roomClock->today());
        if (null !== $until && $until->format('Ymd') < $this->roomClock->today()->format('Ymd')) {
            $input->refuse('until', 'That day is past.');
        }

        return $until;
    }
}
