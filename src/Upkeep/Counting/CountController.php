<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\ContentsReading;
use App\Room\Catalogue\ThingRow;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use App\Upkeep\Rounds\RoundTask;
use App\Upkeep\Rounds\TaskKind;
use App\Upkeep\Rounds\TaskState;
use App\Upkeep\Rounds\UpkeepRounds;
use App\Upkeep\Rounds\WalkUpkeepRound;
use Lottel\Core\Upkeep\Counting\CountReason;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Lottel\Core\Upkeep\Counting\RollingCount;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Counts: which places are due, one place on its sheet, and how right the log has been. */
final class CountController extends Page
{
    private const SHOWN = 8;
    private const MOST = 60;
    private const LAST = 10;

    public function __construct(
        private readonly CountHistories $histories,
        private readonly RoomReading $room,
        private readonly PlaceReading $places,
        private readonly ContentsReading $contents,
        private readonly UpkeepRounds $errands,
        private readonly WeighStack $weigh,
    ) {
    }

    #[Route('/upkeep/counts', name: 'counts', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $due = RollingCount::next($this->histories->all(), self::SHOWN);

        return $this->render('upkeep/counting/counts.html.twig', [
            'due' => array_map(fn (PlaceHistory $one): DuePlace => DuePlace::of($one, $this->room->place($one->place)), $due),
            'accuracy' => $this->histories->accuracy(),
            'months' => $this->histories->byMonth(),
            'last' => $this->histories->last(self::LAST),
            'units' => $this->room->units(),
            'lit' => $this->room->litWith(array_map(
                static fn (PlaceHistory $one, int $nth): array => [$one->place, (string) ($nth + 1)],
                $due,
                array_keys($due),
            )),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/counts', name: 'begin_count', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function begin(Request $request, BeginCount $begin): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($begin): Outcome {
            $errand = match ($input->text('which', 10)) {
                'next' => $begin->next($step, $this->many($input)),
                'unit' => $begin->whole($step, $this->room->unit($input->text('unit', 6))->id),
                'room' => $begin->whole($step, null),
                default => throw StepRefused::nothingChosen(),
            };

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, $this->index(...));
    }

    #[Route('/stores/places/{address}/count', name: 'count_place', methods: ['GET'])]
    public function sheet(Request $request, string $address): Response
    {
        return $this->show($address, $request->query->getInt('round'), null);
    }

    #[Route('/stores/places/{address}/count', name: 'count_sheet', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function count(Request $request, string $address, CountPlace $count, Places $places, WalkUpkeepRound $walk): Response
    {
        $round = (int) $request->request->getString('round');
        $weighed = (int) $request->request->getString('weigh');
        if ($weighed > 0) {
            return $this->show($address, $round, null, $this->weighed($request, $address, $weighed));
        }

        return $this->write($request, function (Input $input, Step $step) use ($address, $count, $places, $walk, $round): Outcome {
            $place = $places->inUse($address);
            $sheet = CountInput::sheet($input, $this->rows($address));
            $input->check();
            if ([] !== $sheet->uncounted()) {
                throw CountRefused::notAllCounted(\count($sheet->uncounted()));
            }
            $reasons = CountInput::reasons($input, $sheet);
            if (\count($reasons) < \count($sheet->differing())) {
                $input->refuse('', CountRefused::whyIsMissing(\count($sheet->differing()) - \count($reasons))->getMessage());
            }
            $input->check();
            $count($step, $place, $sheet, $reasons);
            $task = $this->task($round, $place);
            if (null !== $task) {
                $walk->counted($step, $task);
            }

            return Outcome::undoable(
                null === $task ? $this->generateUrl('place', ['address' => $place->address]) : $this->generateUrl('errand', ['id' => $round]),
                self::said($place->address, \count($sheet->lines), \count($sheet->differing())),
            );
        }, fn (Problem $problem): Response => $this->show($address, $round, $problem, $request->request->all()));
    }

    private static function said(string $address, int $lines, int $wrong): string
    {
        return 0 === $wrong
            ? \sprintf('%s is counted: all of it is as the log says.', $address)
            : \sprintf('%s is counted: %s of %s put right in the log.', $address, Counted::of($wrong, 'line', 'lines'), $lines);
    }

    private function many(Input $input): int
    {
        $many = $input->whole('many', 1, self::MOST);
        $input->check();

        return $many;
    }

    /** The open task of a round that asks for this place to be counted; null where there is none. */
    private function task(int $round, Place $place): ?RoundTask
    {
        if (0 === $round) {
            return null;
        }
        $isIt = static fn (RoundTask $task): bool => TaskKind::Count === $task->what && $task->place === $place && TaskState::Open === $task->state;

        return $this->errands->one($round)->tasks->filter($isIt)->first() ?: null;
    }

    /** @return list<ThingRow> */
    private function rows(string $address): array
    {
        $place = $this->places->inUse($address);

        return $this->contents->of($place->id, $place->scheme());
    }

    /**
     * What was typed, and what the scale says of one stack.
     *
     * @return array<mixed>
     */
    private function weighed(Request $request, string $address, int $item): array
    {
        $typed = $request->request->all();
        $stack = $this->weigh->of($item, $this->places->inUse($address)->id);

        return ['weighed' => $stack] + (null === $stack->sheets ? [] : ['count-'.$item => (string) $stack->sheets]) + $typed;
    }

    /** @param array<mixed> $typed */
    private function show(string $address, int $round, ?Problem $problem, array $typed = []): Response
    {
        $place = $this->places->inUse($address);
        $rows = $this->rows($address);
        $input = new SheetTyped($rows, $typed, $this->measures->quantities());

        return $this->render('upkeep/counting/sheet.html.twig', [
            'place' => $place,
            'rows' => $input->rows(),
            'round' => 0 === $round ? null : $this->errands->one($round),
            'last' => $this->histories->lastOf($place->id),
            'can_weigh' => $this->weigh->stacksIn($place->id),
            'weighed' => $typed['weighed'] ?? null,
            'reasons' => CountReason::cases(),
            'lit' => $this->room->lit([$place->id]),
            'problem' => $problem,
        ]);
    }
}
