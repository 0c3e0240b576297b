<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Kits\Kits\NeedRow;
use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\Daylight;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Kits and dates through the year, and the hours at the bench. */
final class YearController extends Page
{
    private const WEEKS = 11;
    private const WEEKS_BEFORE = 1;
    private const WEEKS_OF_A_YEAR = 53;

    public function __construct(
        private readonly YearReading $reading,
        private readonly HoursAtBench $hours,
        private readonly YearInput $reads,
        private readonly Kits $kits,
        private readonly Feeds $feeds,
        private readonly KitReading $lists,
    ) {
    }

    /** All weeks of a year at a glance. */
    #[Route('/year/whole', name: 'whole_year', methods: ['GET'])]
    public function whole(): Response
    {
        $year = $this->reading->of(Day::of($this->roomClock->today())->monday(), self::WEEKS_OF_A_YEAR);

        return $this->render('calendar/year/whole.html.twig', ['year' => $year, 'is_known' => $this->hours->areKnown()]);
    }

    #[Route('/year', name: 'year', methods: ['GET'])]
    public function page(Request $request, ?Problem $problem = null): Response
    {
        $today = Day::of($this->roomClock->today());
        $asked = Day::read($request->query->getString('from'));
        $isNear = null !== $asked && abs($asked->until($today)) < 366 * 200;
        $first = $isNear ? $asked->monday() : $today->monday()->plus(-7 * self::WEEKS_BEFORE);
        $year = $this->reading->of($first, self::WEEKS);
        $chosen = (int) $request->query->getString('kit');

        return $this->render('calendar/year/index.html.twig', [
            'year' => $year,
            'chosen' => $year->kit($chosen),
            'is_known' => $this->hours->areKnown(),
            'week' => $week = $this->hours->week(),
            'daylight' => Daylight::on($today, $this->roomClock->timeZone()),
            'to_buy' => $this->toBuy($year->kit($chosen)),
            'in_a_week' => array_sum($week),
            'others' => $this->hours->others($this->roomClock->today()),
            'before' => $first->plus(-7 * (self::WEEKS - 1))->text(),
            'after' => $first->plus(7 * (self::WEEKS - 1))->text(),
            'feeds' => $this->feeds->of($this->me()),
            'others_feeds' => $this->isGranted('ROLE_OWNER') ? $this->feeds->ofOthers($this->me()) : [],
            'problem' => $problem,
        ]);
    }

    #[Route('/year/hours', name: 'hours', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function hours(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $minutes = array_map(fn (int $day): int => $this->reads->hours($input, 'day_'.$day), range(1, 7));
            $input->check();
            $this->hours->put($minutes);

            return $this->done('The hours at the bench are written down.');
        }, fn (Problem $problem): Response => $this->page($request, $problem));
    }

    /** One day is different: a holiday, a fair, a free afternoon. */
    #[Route('/year/day', name: 'other_hours', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function day(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $day = $input->nearDate('day', $this->roomClock->today());
            if (null === $day) {
                $input->refuse('day', 'Which day?');
            }
            $minutes = $input->isTicked('usual') ? null : $this->reads->hours($input, 'hours');
            $input->check();
            if (null !== $day) {
                $this->hours->putOn($day, $minutes);
            }

            return $this->done(\sprintf(null === $minutes ? '%s is as its weekday again.' : '%s has hours of its own.', $day?->format('l j F') ?? ''));
        }, fn (Problem $problem): Response => $this->page($request, $problem));
    }

    /** When a kit is due, how long it takes, how long it dries, and from when on it can be worked on. */
    #[Route('/year/kits/{id<[0-9]{1,12}>}', name: 'kit_time', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function kit(Request $request, int $id, SayTime $say): Response
    {
        return $this->write($request, function (Input $input) use ($id, $say): Outcome {
            $kit = $this->kits->one($id);
            $due = $input->nearDate('due_on', $this->roomClock->today());
            $minutes = $this->reads->time($input, 'time');
            $drying = $input->isEmpty('drying_days') ? 0 : $input->whole('drying_days', 0, 366);
            $ready = $input->nearDate('ready_from', $this->roomClock->today());
            $input->check();
            $say($kit, $due, $minutes, $drying, $ready);
            $isPast = null !== $due && $due->format('Ymd') < $this->roomClock->today()->format('Ymd');

            return Outcome::undoable(
                $this->generateUrl('year', ['kit' => $id]),
                $isPast ? 'Written down. That day is past, so the kit is overdue.' : 'Written down.',
            );
        }, fn (Problem $problem): Response => $this->page($this->showing($request, $id), $problem));
    }

    /** @return list<string> what of a kit's list is short, by name */
    private function toBuy(?KitInYear $kit): array
    {
        $short = null === $kit ? [] : array_filter($this->lists->needs($kit->kit->id), static fn (NeedRow $need): bool => $need->shortfall() > 0);

        return array_values(array_map(static fn (NeedRow $need): string => $need->thing->name, $short));
    }

    private function showing(Request $request, int $kit): Request
    {
        $request->query->set('kit', (string) $kit);

        return $request;
    }

    private function done(string $said): Outcome
    {
        return Outcome::undoable($this->generateUrl('year'), $said);
    }
}
