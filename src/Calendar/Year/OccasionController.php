<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Year\Day;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** People and dates. */
final class OccasionController extends Page
{
    private const AHEAD = 366;

    public function __construct(
        private readonly Occasions $occasions,
        private readonly Contacts $contacts,
        private readonly KeepOccasion $keep,
        private readonly YearInput $reads,
        private readonly YearReading $reading,
    ) {
    }

    #[Route('/occasions', name: 'occasions', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $today = Day::of($this->roomClock->today());
        $year = $this->reading->of($today, intdiv(self::AHEAD, 7) + 1);

        return $this->render('calendar/year/occasions.html.twig', [
            'dates' => array_values(array_filter(
                $year->dates,
                static fn (DateInYear $date): bool => $date->day->number >= $today->number && $date->day->number < $today->number + 365,
            )),
            'many' => \count($this->occasions->all()),
            'past' => array_values(array_filter($this->occasions->all(), static fn (Occasion $one): bool => null === $one->on()->next($today))),
            'contacts' => $this->contacts->all(),
            'today' => $today,
            'problem' => $problem,
        ]);
    }

    /** People with their dates for an address book, or all dates for a calendar. */
    #[Route('/occasions.{type<vcf|ics>}', name: 'occasions_file', methods: ['GET'])]
    public function take(Request $request, string $type, AddressBook $book, ClockInterface $clock): Response
    {
        return 'vcf' === $type
            ? $this->download($book->cards($request->getHost()), 'text/vcard; charset=utf-8', 'people.vcf')
            : $this->download($book->calendar($request->getHost(), $clock->now()), 'text/calendar; charset=utf-8', 'dates.ics');
    }

    #[Route('/occasions', name: 'add_occasion', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function add(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $said = $this->reads->occasion($input);
            $input->check();
            $occasion = ($this->keep)($said);
            $next = $said->on->next(Day::of($this->roomClock->today()));

            return Outcome::undoable($this->generateUrl('occasions'), \sprintf(
                '%s is in the year%s.',
                $occasion->name,
                null === $next ? ', though its day is past' : ', next on '.$next->date()->format('l j F Y'),
            ));
        }, $this->index(...));
    }

    #[Route('/occasions/{occasion<[0-9]{1,12}>}', name: 'occasion', methods: ['GET'])]
    public function occasion(int $occasion, ?Problem $problem = null): Response
    {
        $one = $this->occasions->one($occasion);
        $today = Day::of($this->roomClock->today());
        $next = $one->on()->next($today);
        $year = $this->reading->of(($next ?? $today)->monday(), 1);
        $dates = array_values(array_filter($year->dates, static fn (DateInYear $date): bool => $date->occasion === $one));

        return $this->render('calendar/year/occasion.html.twig', [
            'occasion' => $one,
            'date' => $dates[0] ?? null,
            'contacts' => $this->contacts->all(),
            'today' => $today,
            'problem' => $problem,
        ]);
    }

    #[Route('/occasions/{occasion<[0-9]{1,12}>}', name: 'change_occasion', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function change(Request $request, int $occasion): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($occasion): Outcome {
            $one = $this->occasions->one($occasion);
            if ($input->isTicked('remove')) {
                $this->keep->remove($one, $step->at);

                return Outcome::undoable($this->generateUrl('occasions'), \sprintf('%s is not in the year any more.', $one->name));
            }
            $said = $this->reads->occasion($input);
            $input->check();
            ($this->keep)($said, $one);

            return Outcome::undoable($this->generateUrl('occasion', ['occasion' => $occasion]), 'Written down.');
        }, fn (Problem $problem): Response => $this->occasion($occasion, $problem));
    }

    /** A kit for the next of its dates, or the one that is named. */
    #[Route('/occasions/{occasion<[0-9]{1,12}>}/kit', name: 'plan_for_occasion', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function plan(Request $request, int $occasion, PlanForOccasion $plan): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($occasion, $plan): Outcome {
            $one = $this->occasions->one($occasion);
            $day = Day::read($input->text('day', 10, true));
            if (null === $day) {
                $input->refuse('day', 'For which day?');
            }
            $input->check();
            $kit = $plan($step, $one, $day ?? Day::of($this->roomClock->today()));

            return Outcome::undoable(
                $this->generateUrl('kit', ['id' => $kit->id]),
                \sprintf('“%s” is planned, due %s. Now say what it needs.', $kit->name, $kit->dueOn?->format('j F') ?? ''),
            );
        }, fn (Problem $problem): Response => $this->occasion($occasion, $problem));
    }
}
