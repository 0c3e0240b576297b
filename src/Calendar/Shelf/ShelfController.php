<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Contacts;
use App\Calendar\Year\DateInYear;
use App\Calendar\Year\Occasion;
use App\Calendar\Year\Occasions;
use App\Calendar\Year\YearReading;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Stores\RoomReading;
use Lottel\Core\Year\CardChoice;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\ShelfGap;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Finished pieces: what lies ready, which one for whom, and where they went. */
final class ShelfController extends Page
{
    private const WEEKS_AHEAD = 9;
    private const MOST = 1_000;

    public function __construct(
        private readonly ShelfReading $shelf,
        private readonly Supplies $supplies,
        private readonly YearReading $year,
        private readonly Occasions $occasions,
        private readonly Contacts $contacts,
        private readonly Items $items,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/shelf', name: 'shelf', methods: ['GET'])]
    public function index(Request $request, ?Problem $problem = null): Response
    {
        $finished = $this->shelf->finished();
        $pieces = array_values(array_filter($finished, static fn (ShelfPiece $piece): bool => !$piece->isPage));
        $sizes = array_values(array_unique(array_filter(array_column($pieces, 'measures'), static fn (string $size): bool => '' !== $size)));
        sort($sizes);
        $size = \in_array($request->query->getString('size'), $sizes, true) ? $request->query->getString('size') : '';
        $today = Day::of($this->roomClock->today());
        $dates = $this->coming($today);
        $asked = $this->asked($request, $today);

        return $this->render('calendar/shelf/index.html.twig', [
            'groups' => $groups = ShelfGroup::each(self::ofSize($pieces, $size)),
            'sizes' => $sizes,
            'size' => $size,
            'many' => array_sum(array_map(static fn (ShelfGroup $group): int => $group->many(), $groups)),
            'gaps' => $this->gaps($pieces, $dates, $today),
            'dates' => $dates,
            'begun' => $this->shelf->begun(),
            'pages' => array_values(array_filter($finished, static fn (ShelfPiece $piece): bool => $piece->isPage)),
            'asked' => $asked,
            'choices' => $this->choices(self::ofSize($pieces, $size), $asked),
            'contacts' => $this->contacts->all(),
            'lit' => $this->room->lit(array_map(static fn (ShelfPiece $piece): ?int => $piece->thing->homeId, $pieces)),
            'problem' => $problem,
        ]);
    }

    #[Route('/shelf/{id<[0-9]{1,12}>}', name: 'shelf_piece', methods: ['GET'])]
    public function piece(Request $request, int $id, ?Problem $problem = null): Response
    {
        $piece = $this->shelf->one($id);
        $today = Day::of($this->roomClock->today());

        return $this->render('calendar/shelf/piece.html.twig', [
            'piece' => $piece,
            'supplies' => $this->supplies->of($id),
            'gifts' => $this->supplies->gifts($this->items->one($id)),
            'dates' => $this->coming($today),
            'asked' => $this->asked($request, $today),
            'contacts' => $this->contacts->all(),
            'today' => $today,
            'lit' => $this->room->lit([$piece->thing->homeId]),
            'problem' => $problem,
        ]);
    }

    #[Route('/shelf/{id<[0-9]{1,12}>}/give', name: 'give_piece', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function give(Request $request, int $id, GivePiece $give): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $give): Outcome {
            $item = $this->items->one($id);
            $quantity = $input->isEmpty('quantity') ? 1 : $input->whole('quantity', 1, self::MOST);
            $way = $input->choice('way', GiftWay::class);
            $person = $input->text('person', 120, GiftWay::Sold !== $way);
            $day = $input->nearDate('day', $this->roomClock->today());
            $cents = $input->isEmpty('price') ? null : $input->cents('price');
            [$occasion, $occasionDay] = $this->occasionOf($input);
            $input->check();
            $contact = '' === $person ? null : $this->contacts->named($person);
            $give(
                $step,
                $item,
                $quantity,
                $way,
                $contact,
                Day::of($day ?? $this->roomClock->today()),
                $cents,
                $input->text('note', 200),
                $occasion,
                $occasionDay,
                $input->isTicked('anyway')
            );

            return Outcome::undoable($this->generateUrl('shelf_piece', ['id' => $id]), \sprintf(
                '%s %s%s.',
                1 === $quantity ? $item->name.' is' : $quantity.' of '.$item->name.' are',
                $way->value,
                null === $contact ? '' : ' to '.$contact->name,
            ));
        }, fn (Problem $problem): Response => $this->piece($request, $id, $problem));
    }

    #[Route('/shelf/{id<[0-9]{1,12}>}/keep', name: 'keep_piece', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function keep(Request $request, int $id, KeepForDay $keep): Response
    {
        return $this->write($request, function (Input $input) use ($id, $keep): Outcome {
            [$occasion, $day] = $this->occasionOf($input);
            if (null === $occasion || null === $day) {
                $input->refuse('date', 'For which day?');
            }
            $input->check();
            $item = $this->items->one($id);
            if (null !== $occasion && null !== $day) {
                $keep($item, $occasion, $day);
            }

            return Outcome::undoable($this->generateUrl('shelf'), \sprintf('One of %s is kept for %s.', $item->name, $occasion->name ?? ''));
        }, fn (Problem $problem): Response => $this->piece($request, $id, $problem));
    }

    #[Route('/shelf/aside/{aside<[0-9]{1,12}>}', name: 'not_aside', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function back(Request $request, int $aside, KeepForDay $keep): Response
    {
        return $this->write($request, function () use ($aside, $keep): Outcome {
            $was = $keep->back($aside);

            return Outcome::undoable($this->generateUrl('shelf_piece', ['id' => $was->item->id]), \sprintf('%s is among the others again.', $was->item->name));
        }, fn (Problem $problem): Response => $this->index($request, $problem));
    }

    /** @return array{Occasion|null, Day|null} */
    private function occasionOf(Input $input): array
    {
        if ($input->isEmpty('date')) {
            return [null, null];
        }
        [$id, $date] = explode(':', $input->text('date', 40)) + ['', ''];
        $occasion = $this->occasions->one(ctype_digit($id) ? (int) $id : 0);
        $day = Day::read($date);
        null === $day ? $input->refuse('date', 'For which day?') : $occasion->checkIsOn($day);

        return [$occasion, $day];
    }

    /** @return list<DateInYear> the days of the next weeks that want something */
    private function coming(Day $today): array
    {
        $dates = $this->year->of($today, self::WEEKS_AHEAD)->dates;

        return array_values(array_filter($dates, static fn (DateInYear $date): bool => $date->day->number >= $today->number && $date->occasion->pieces > 0));
    }

    /**
     * @param list<ShelfPiece> $pieces
     *
     * @return list<ShelfPiece> those that measure so much; all of them where nothing is asked
     */
    private static function ofSize(array $pieces, string $size): array
    {
        return '' === $size ? $pieces : array_values(array_filter($pieces, static fn (ShelfPiece $piece): bool => $size === $piece->measures));
    }

    private function asked(Request $request, Day $today): ShelfQuestion
    {
        $query = $request->query;
        [$id, $day] = explode(':', $query->getString('date')) + ['', ''];
        $occasion = ctype_digit($id) ? $this->occasions->one((int) $id) : null;
        $rather = trim($query->getString('rather'));
        $colour = '' === $rather ? null : $this->ownColours->words()->find($rather);

        return new ShelfQuestion(
            $occasion,
            Day::read($day),
            null === $occasion ? mb_substr($query->getString('wants'), 0, 60) : $occasion->wanted(),
            $rather,
            $colour,
            null === $occasion ? (int) $query->getString('person') : ($occasion->contact->id ?? 0),
        );
    }

    /**
     * @param list<ShelfPiece> $pieces
     *
     * @return list<array{CardChoice, ShelfPiece}>
     */
    private function choices(array $pieces, ShelfQuestion $asked): array
    {
        if (!$asked->isAsked()) {
            return [];
        }
        $by = [];
        foreach ($pieces as $piece) {
            $by[$piece->thing->id] = $piece;
        }
        $had = $asked->person > 0 ? $this->shelf->hadBy($asked->person) : [];

        return array_map(
            static fn (CardChoice $choice): array => [$choice, $by[$choice->card->id]],
            \array_slice(CardChoice::among(ShelfReading::cards($pieces), $asked->wants, $asked->colour, $had), 0, 6),
        );
    }

    /**
     * @param list<ShelfPiece> $pieces
     * @param list<DateInYear> $dates
     *
     * @return list<ShelfGap>
     */
    private function gaps(array $pieces, array $dates, Day $today): array
    {
        $there = array_fill_keys(array_keys($this->shelf->places()), 0);
        foreach ($pieces as $piece) {
            $there[$piece->word] = ($there[$piece->word] ?? 0) + $piece->free();
        }
        $coming = [];
        foreach ($dates as $date) {
            if ($date->isToMake() && OccasionKind::Class_ !== $date->occasion->kind && '' !== $date->occasion->wanted()) {
                $word = CardChoice::word($date->occasion->wanted());
                $coming[$word] = ($coming[$word] ?? 0) + $date->occasion->pieces;
            }
        }

        return ShelfGap::of($there, $this->shelf->givenIn($today), $coming);
    }
}
