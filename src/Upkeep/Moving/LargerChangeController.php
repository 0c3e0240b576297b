<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\RoomReading;
use App\Room\Stores\UnitRow;
use App\Room\Stores\Units;
use Lottel\Core\Upkeep\Moving\BetterStanding;
use Lottel\Core\Upkeep\Moving\Refilled;
use Lottel\Core\Upkeep\Moving\ReplaceUnit;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Larger changes: furniture changes places, a piece of it is replaced, the room moves. */
final class LargerChangeController extends Page
{
    private const SWAPS = 3;
    private const MOST_ARROWS = 5;

    public function __construct(
        private readonly StandingReading $standing,
        private readonly BeginReplacing $replacing,
        private readonly HouseMoves $moves,
        private readonly RoomReading $room,
        private readonly Units $units,
    ) {
    }

    #[Route('/upkeep/change', name: 'larger_change', methods: ['GET'])]
    public function page(Request $request, ?Problem $problem = null): Response
    {
        return $this->show($request->query->getString('old'), $request->query->getString('new'), $problem);
    }

    /** Two pieces of furniture have changed places. */
    #[Route('/upkeep/change/standing', name: 'change_standing', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function standing(Request $request, ChangeStanding $change): Response
    {
        return $this->write($request, function (Input $input) use ($change): Outcome {
            [$one, $other] = [$this->units->one($input->text('one', 3)), $this->units->one($input->text('other', 3))];
            $change($one, $other);

            return Outcome::undoable($this->generateUrl('larger_change'), \sprintf('%s and %s have changed places.', $one->letters, $other->letters));
        }, fn (Problem $problem): Response => $this->show('', '', $problem));
    }

    /** What lives in one unit is carried into the one that replaces it. */
    #[Route('/upkeep/change/unit', name: 'begin_replacing', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function replace(Request $request): Response
    {
        return $this->write($request, function (Input $input, Step $step): Outcome {
            $errand = ($this->replacing)($step, $this->unit($input->text('old', 3)), $this->unit($input->text('new', 3)), $input->text('seen', 40));

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, fn (Problem $problem): Response => $this->show($request->request->getString('old'), $request->request->getString('new'), $problem));
    }

    private function unit(string $letters): UnitRow
    {
        return $this->room->unit(strtoupper($letters));
    }

    private function show(string $old, string $new, ?Problem $problem): Response
    {
        $units = array_values($this->room->units());
        $known = array_map(static fn (UnitRow $unit): string => $unit->letters, $units);
        $isAsked = $old !== $new && \in_array($old, $known, true) && \in_array($new, $known, true);
        $plan = $isAsked ? $this->replacing->plan($this->unit($old), $this->unit($new)) : [];
        $goes = array_values(array_filter($plan, static fn (Refilled $one): bool => null !== $one->to));
        $arrows = array_map(
            static fn (Refilled $one, int $nth): array => [$one->group->from->id, (int) $one->to?->id, (string) ($nth + 1)],
            $goes,
            array_keys($goes),
        );

        return $this->render('upkeep/moving/change.html.twig', [
            'units' => $units,
            'swaps' => BetterStanding::swaps($this->standing->units(), self::SWAPS),
            'old' => $old,
            'new' => $new,
            'is_asked' => $isAsked,
            'plan' => $plan,
            'goes' => $goes,
            'seen' => BeginReplacing::mark(...$plan),
            'cost' => ReplaceUnit::cost($plan),
            // More arrows than a few hide the room that they are drawn in.
            'arrows' => \count($arrows) <= self::MOST_ARROWS ? $arrows : [],
            'lit' => $this->room->lit(array_merge(...array_map(static fn (array $arrow): array => [$arrow[0], $arrow[1]], $arrows))),
            'move' => $this->moves->current(),
            'problem' => $problem,
        ]);
    }
}
