<?php

declare(strict_types=1);

namespace App\Idle;

use App\Catalogue\ItemReading;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Stores\PlaceReading;
use App\Stores\PlaceRow;
use App\Stores\RoomReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Upkeep\Idle\IdleRoom;
use Lottel\Core\Upkeep\Idle\IdleThing;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What was not used for long: how much room it takes up, drawer by drawer, a round to weed it, and a month to use one kind up. */
final class IdleController extends Page
{
    private const PLACES = 24;
    private const NAMED = 4;
    private const USUAL_MONTHS = 12;

    /** As large as a drawer of a usual chest, to say a volume in. */
    private const DRAWER_LITRES = 12.0;

    public function __construct(
        private readonly IdleReading $reading,
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
        if (\in_array((int) $asked, IdleRoom::MONTHS, true)) {
            return (int) $asked;
        }

        return [] === $this->reading->room()->since(self::USUAL_MONTHS)->things ? min(IdleRoom::MONTHS) : self::USUAL_MONTHS;
    }

    private function show(int $months, string $asked, ?Problem $problem): Response
    {
        $room = $this->reading->room();
        $idle = $room->since($months);
        $kind = Kind::tryFrom($asked) ?? Kind::Embellishment;
        $first = new \DateTimeImmutable($this->frame->today()->format('Y-m-01'), new \DateTimeZone('UTC'));
        $places = $this->places($idle);

        return $this->render('idle/idle.html.twig', [
            'months' => $months,
            'choices' => array_map(static fn (int $some): array => [$some, \count($room->since($some)->things)], IdleRoom::MONTHS),
            'idle' => $idle,
            'drawers' => $idle->asDrawers(self::DRAWER_LITRES),
            'drawer' => self::DRAWER_LITRES,
            'places' => $places,
            'kind' => $kind,
            'kinds' => Kind::cases(),
            'first' => $first,
            'month' => $this->reading->month($kind, $first),
            'lit' => $this->room->litWith(array_map(static fn (IdlePlace $place): array => [$place->id, (string) $place->many], $places)),
            'problem' => $problem,
        ]);
    }

    /** @return list<IdlePlace> */
    private function places(IdleRoom $idle): array
    {
        $known = [];
        foreach ($this->places->inRoom() as $place) {
            $known[$place->id] = $place;
        }
        $by = \array_slice(array_intersect_key($idle->byPlace(), $known), 0, self::PLACES, true);
        $named = array_merge(...array_map(static fn (array $things): array => \array_slice($things, 0, self::NAMED), array_values($by)));
        $lines = [];
        foreach ($this->items->lines(array_map(static fn (IdleThing $thing): int => $thing->item, $named)) as $line) {
            $lines[$line->id] = $line;
        }

        return array_map(static function (int $id, array $things) use ($known, $lines): IdlePlace {
            $litres = (new IdleRoom($things))->litres();
            $shown = array_values(array_intersect_key($lines, array_flip(array_map(static fn (IdleThing $thing): int => $thing->item, $things))));
            $place = $known[$id];

            return new IdlePlace($id, $place->address, $place->title(), \count($things), $shown, $litres, self::percent($place, $litres));
        }, array_keys($by), array_values($by));
    }

    private static function percent(PlaceRow $place, float $litres): ?int
    {
        return null === $place->inside ? null : (int) round(100 * $litres / max(1e-9, $place->inside->litres()));
    }
}
