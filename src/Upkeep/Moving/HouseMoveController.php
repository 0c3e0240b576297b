<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\ItemReading;
use App\Room\Stores\RoomReading;
use App\Room\Stores\UnitRow;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Moving\BoxLimits;
use Lottel\Core\Upkeep\Moving\PackedThing;
use Lottel\Core\Upkeep\Moving\PackingPlan;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The room moves house: what goes into which box, packing, labels, moving in, unpacking. */
final class HouseMoveController extends Page
{
    private const MOST_MM = 1500;
    private const MOST_GRAMS = 60_000;

    public function __construct(
        private readonly MovingReading $reading,
        private readonly HouseMoves $moves,
        private readonly RoomReading $room,
        private readonly ItemReading $items,
    ) {
    }

    #[Route('/upkeep/move', name: 'house_move', methods: ['GET'])]
    public function page(?Problem $problem = null): Response
    {
        $move = $this->moves->current();

        return null === $move ? $this->planned($this->usual(), array_keys($this->room->units()), $problem) : $this->underWay($move, $problem);
    }

    /** Shows the boxes that some furniture takes; nothing is written. */
    #[Route('/upkeep/move/look', name: 'look_at_boxes', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function look(Request $request): Response
    {
        $input = $this->input($request);
        try {
            [$limits, $units] = [$this->limits($input), $this->units($input)];
            $input->check();

            return $this->planned($limits, $units, null);
        } catch (InvalidInput|StepRefused|MovingRefused $wrong) {
            $response = $this->planned($this->usual(), $this->chosen($input), Problem::from($wrong, $request, $this->measures->quantities()));
            $response->setStatusCode(422);

            return $response;
        }
    }

    #[Route('/upkeep/move', name: 'begin_house_move', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function begin(Request $request, BeginHouseMove $begin): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($begin): Outcome {
            [$limits, $units] = [$this->limits($input), $this->units($input)];
            $seen = $input->whole('boxes', 1, 10_000);
            $input->check();
            $move = $begin($step, $units, $limits, $seen);

            return Outcome::undoable($this->generateUrl('house_move'), Counted::of($move->boxes->count(), 'box is', 'boxes are').' to be packed.');
        }, fn (Problem $problem): Response => $this->planned($this->usual(), $this->chosen($this->input($request)), $problem));
    }

    #[Route('/upkeep/move/in', name: 'move_in', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function moveIn(Request $request, MoveIn $moveIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($moveIn): Outcome {
            $moveIn($step);

            return Outcome::undoable($this->generateUrl('house_move'), 'You have moved in. What is missed soonest is unpacked first.');
        }, $this->page(...));
    }

    #[Route('/upkeep/move/end', name: 'end_house_move', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function end(Request $request, MoveIn $moveIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($moveIn): Outcome {
            $moveIn->end($step);

            return Outcome::undoable($this->generateUrl('larger_change'), 'The move is over.');
        }, $this->page(...));
    }

    /** Labels of the boxes, and what is in each, to be printed. */
    #[Route('/upkeep/move/labels', name: 'box_labels', methods: ['GET'])]
    public function labels(Request $request): Response
    {
        $move = $this->moves->underWay();

        return $this->render('upkeep/moving/labels.html.twig', [
            'move' => $move, 'many' => $move->boxes->count(), 'origin' => $request->getSchemeAndHttpHost(),
        ]);
    }

    private function usual(): BoxLimits
    {
        return BoxLimits::usual($this->measures->measure());
    }

    private function limits(Input $input): BoxLimits
    {
        $sides = [];
        foreach (['width', 'height', 'depth'] as $field) {
            $side = $input->length($field, self::MOST_MM);
            if (null === $side || 0 === $side->ticks) {
                $input->refuse($field, 'How large is a box inside?');
            }
            $sides[] = $side ?? Length::ofTicks(1);
        }
        $grams = $input->grams('grams', self::MOST_GRAMS);
        if (null === $grams || 0 === $grams) {
            $input->refuse('grams', 'How heavy may a box become?');
        }
        $input->check();

        return new BoxLimits(new Box(...$sides), (int) $grams);
    }

    /** @return list<int> */
    private function units(Input $input): array
    {
        $units = $this->chosen($input);

        return [] === $units ? throw StepRefused::nothingChosen() : $units;
    }

    /** @return list<int> units of the room that are ticked */
    private function chosen(Input $input): array
    {
        return array_values(array_intersect(array_map(intval(...), $input->list('unit')), array_keys($this->room->units())));
    }

    /** @param list<int> $units */
    private function planned(BoxLimits $limits, array $units, ?Problem $problem): Response
    {
        try {
            $plan = $this->reading->plan($units, $limits);
        } catch (MovingRefused $tooMuch) {
            $plan = new PackingPlan([], [], $limits);
        }

        return $this->render('upkeep/moving/plan.html.twig', [
            'plan' => $plan,
            'order' => $plan->unpackingOrder(),
            'limits' => $limits,
            'units' => array_map(static fn (UnitRow $unit): array => [$unit, \in_array($unit->id, $units, true)], $this->room->units()),
            'addresses' => $this->addresses(),
            'names' => $this->names(array_map(static fn (PackedThing $thing): int => $thing->item, $plan->byHand)),
            'out' => $this->reading->out(),
            'too_much' => isset($tooMuch) ? $tooMuch->getMessage() : '',
            'problem' => $problem,
        ]);
    }

    private function underWay(HouseMove $move, ?Problem $problem): Response
    {
        $next = $move->next();

        return $this->render('upkeep/moving/move.html.twig', [
            'move' => $move,
            'next' => $next,
            'names' => $this->names($move->byHand),
            'lit' => null === $next ? [] : $this->room->lit(array_map(static fn ($task): ?int => $task->place->id, $next->errand->tasks->toArray())),
            'problem' => $problem,
        ]);
    }

    /** @return array<int, string> */
    private function addresses(): array
    {
        return array_map(static fn ($front): string => $front->address, $this->room->places());
    }

    /**
     * @param list<int> $items
     *
     * @return list<string>
     */
    private function names(array $items): array
    {
        return array_map(static fn ($line): string => $line->name, $this->items->lines($items));
    }
}
