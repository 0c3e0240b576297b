<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\ItemReading;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\RoomReading;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Upkeep\Weeding\UnusedRoom;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What was not used for long: how much room it takes up, drawer by drawer, a round to weed it, and a month to use one kind up. */
final class WeedingController extends Page
{
    private const PLACES = 24;
    private const USUAL_MONTHS = 12;

    /** As large as a drawer of a usual chest, to say a volume in. */
    private const DRAWER_LITRES = 12.0;

    public function __construct(
        private readonly UnusedReading $reading,
        private readonly ItemReading $items,
        private readonly PlaceReading $places,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/upkeep/idle', name: 'idle', methods: ['GET'])]
    public function index(Request $request): Response
    {
        return $this->show($this->months($request->query->getString('months')), $request->query->getString('kind'), null);
    }

    #[Route('/upkeep/idle', name: 'weed', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function weed(Request $request, WeedPlaces $weed): Response
    {
        $months = $this->months($request->request->getString('months'));

        return $this->write($request, function (Input $input, Step $step) use ($weed, $months): Outcome {
            $places = array_map(intval(...), \array_slice($input->list('place'), 0, self::PLACES));
            if ([] === $places) {
                throw StepRefused::nothingChosen();
            }
            $errand = $weed($step, $months, $places);

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, fn (Problem $problem): Response => $this->show($months, '', $problem));
    }

    /** A year, where nobody says otherwise; half of one where nothing has lain so long. */
    private function months(string $asked): int
    {
        if (\in_array((int) $asked, UnusedRoom::MONTHS, true)) {
            return (int) $asked;
        }

        return 0 === $this->reading->summary()->many(self::USUAL_MONTHS) ? min(UnusedRoom::MONTHS) : self::USUAL_MONTHS;
    }

    private function show(int $months, string $asked, ?Problem $problem): Response
    {
        $idle = $this->reading->summary();
        $kind = Kind::tryFrom($asked) ?? Kind::Embellishment;
        $first = new \DateTimeImmutable($this->roomClock->today()->format('Y-m-01'), new \DateTimeZone('UTC'));
        $places = $this->places($idle->places($months));

        return $this->render('upkeep/weeding/idle.html.twig', [
            'months' => $months,
            'choices' => array_map(static fn (int $some): array => [$some, $idle->many($some)], UnusedRoom::MONTHS),
            'many' => $idle->many($months),
            'is_young' => !$this->reading->goesBack($months),
            'litres' => $idle->litres($months),
            'drawers' => UnusedRoom::asDrawers($idle->litres($months), self::DRAWER_LITRES),
            'drawer' => self::DRAWER_LITRES,
            'places' => $places,
            'kind' => $kind,
            'kinds' => Kind::cases(),
            'first' => $first,
            'month' => $this->reading->month($kind, $first),
            'lit' => $this->room->litWith(array_map(static fn (UnusedPlace $place): array => [$place->id, (string) $place->many], $places)),
            'problem' => $problem,
        ]);
    }

    /**
     * @param list<UnusedHere> $idle
     *
     * @return list<UnusedPlace>
     */
    private function places(array $idle): array
    {
        $known = $lines = [];
        foreach ($this->places->inRoom() as $place) {
            $known[$place->id] = $place;
        }
        foreach ($this->items->lines(array_merge(...array_map(static fn (UnusedHere $here): array => $here->largest, $idle))) as $line) {
            $lines[$line->id] = $line;
        }
        $places = [];
        foreach ($idle as $here) {
            $place = $known[$here->place] ?? null;
            if (null !== $place) {
                $shown = array_values(array_intersect_key($lines, array_flip($here->largest)));
                $percent = UnusedRoom::percentOf($place->inside, $here->litres);
                $places[] = new UnusedPlace($place->id, $place->address, $place->title(), $here->many, $shown, $here->litres, $percent);
            }
        }

        return $places;
    }
}
