<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The rooms, from above. */
final class FloorPlanController extends Page
{
    public function __construct(private readonly FloorReading $floor, private readonly Rooms $rooms)
    {
    }

    #[Route('/stores/plan/{id<[0-9]{1,9}>?}', name: 'floor_plan', methods: ['GET'])]
    public function plan(?int $id = null): Response
    {
        return $this->show($id, null);
    }

    #[Route('/stores/plan/{id<[0-9]{1,9}>}', name: 'keep_plan', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function keep(Request $request, int $id, ArrangeRoom $arrange): Response
    {
        return $this->write($request, function (Input $input) use ($id, $arrange): Outcome {
            $room = $this->rooms->one($id);
            $form = new FloorPlanForm($input, $this->measures->measure());
            [$layout, $spots] = [$form->layout(), $form->spots()];
            $input->check();
            $arrange($room, $layout, $spots);

            return Outcome::undoable($this->generateUrl('floor_plan', ['id' => $id]), 'The plan is kept. Rounds follow it from now on.');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /** The drawing as it would be with the numbers that are typed just now. */
    #[Route('/stores/plan/{id<[0-9]{1,9}>}/drawing', name: 'plan_drawing', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function drawing(Request $request, int $id, FloorDrawing $drawing): Response
    {
        $room = $this->floor->rooms()[$id] ?? throw Unknown::room($id);
        $spots = (new FloorPlanForm($this->input(new Request(request: $request->query->all())), $this->measures->measure()))->spots();

        return new Response($drawing->draw($room->with($spots), true));
    }

    #[Route('/stores/rooms', name: 'add_room', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function add(Request $request, AddRoom $add): Response
    {
        return $this->write($request, function (Input $input) use ($add): Outcome {
            $name = $input->text('room_name', 120, true);
            $input->check();
            $room = $add($name);

            return Outcome::undoable(
                $this->generateUrl('floor_plan', ['id' => $room->id]),
                \sprintf('%s is there. Draw its walls, then move units into it or build one.', $name),
            );
        }, fn (Problem $problem): Response => $this->show(null, $problem));
    }

    private function show(?int $id, ?Problem $problem): Response
    {
        $rooms = $this->floor->rooms();
        $shown = null === $id ? reset($rooms) : ($rooms[$id] ?? throw Unknown::room($id));

        return $this->render('room/stores/plan.html.twig', ['rooms' => $rooms, 'shown' => $shown, 'problem' => $problem]);
    }
}
