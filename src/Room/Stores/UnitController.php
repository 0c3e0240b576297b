<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Units that are set up and changed. */
#[IsGranted('ROLE_OWNER')]
final class UnitController extends Page
{
    private const NOT_FOR_LABELS = ['I', 'O'];

    public function __construct(
        private readonly RoomReading $room,
        private readonly FloorReading $floor,
        private readonly Rooms $rooms,
        private readonly Units $units,
        private readonly ChangeFurniture $furniture,
    ) {
    }

    #[Route('/stores/new-unit', name: 'new_unit', methods: ['GET'])]
    public function new(Request $request): Response
    {
        return $this->showNew(null, UnitTemplate::tryFrom($request->query->getString('like')));
    }

    #[Route('/stores/new-unit', name: 'build_unit', methods: ['POST'])]
    public function build(Request $request, BuildUnit $build): Response
    {
        return $this->write($request, function (Input $input) use ($build): Outcome {
            $room = $this->rooms->chosen($input);
            $said = UnitForm::read($input, $room);
            $places = $build($room, $said->template, $said->letters, $said->name, $said->wall, $said->rows, $said->columns, $said->size);

            $like = Address::readLikeSizes($said->letters, \count($places));
            $warning = '' === $like ? '' : \sprintf(' On a list %s can be taken for a size of paper: another letter is clearer.', $like);

            return Outcome::undoable(
                $this->generateUrl('place', ['address' => $places[0]->address]),
                \sprintf('%s stands in the room with %s. Put things into its first one.%s', $said->letters, Counted::of(\count($places), 'place'), $warning),
            );
        }, fn (Problem $problem): Response => $this->showNew($problem));
    }

    #[Route('/stores/units/{letters}/change', name: 'change_unit', methods: ['GET'])]
    public function change(string $letters): Response
    {
        return $this->showChange($letters, null);
    }

    #[Route('/stores/units/{letters}/describe', name: 'describe_unit', methods: ['POST'])]
    public function describe(Request $request, string $letters, DescribeUnit $describe): Response
    {
        return $this->step($request, $letters, function (Input $input, Unit $unit) use ($describe): string {
            $name = $input->text('name', 120, true);
            $wall = $input->text('wall', 60, true);
            $caution = $input->text('caution', 300);
            $aboveFloor = $input->lengthFromZero('above_floor', 4000);
            $room = $this->rooms->chosen($input);
            $input->check();
            $describe($unit, $name, $wall, $caution, $aboveFloor, $room);

            return 'Written down.';
        });
    }

    #[Route('/stores/units/{letters}/row', name: 'add_row', methods: ['POST'])]
    public function addRow(Request $request, string $letters): Response
    {
        return $this->step($request, $letters, function (Input $input, Unit $unit): string {
            $height = $input->length('row_height', 2000);
            $input->check();
            $added = array_map(static fn (Place $place): string => $place->address, $this->furniture->addRow($unit, $height));

            return \sprintf('%s %s new, and waits for a label.', implode(', ', $added), Counted::verb(\count($added)));
        });
    }

    #[Route('/stores/units/{letters}/renumber', name: 'renumber_unit', methods: ['POST'])]
    public function renumber(Request $request, string $letters): Response
    {
        return $this->step($request, $letters, function (Input $input, Unit $unit): string {
            $changed = $this->furniture->renumber($unit);
            $places = Counted::of($changed, 'place has a new address', 'places have new addresses');

            return 0 === $changed
                ? 'All are in order already.'
                : \sprintf('%s; %s to be printed.', $places, Counted::verb($changed, 'its label waits', 'their labels wait'));
        });
    }

    #[Route('/stores/units/{letters}/retire', name: 'retire_unit', methods: ['POST'])]
    public function retire(Request $request, string $letters): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($letters): Outcome {
            $this->furniture->retireUnit($step, $this->units->one($letters));

            return Outcome::undoable($this->generateUrl('stores'), \sprintf('%s is gone from the room. Its log stays.', $letters));
        }, fn (Problem $problem): Response => $this->showChange($letters, $problem));
    }

    /** @param callable(Input, Unit): string $work */
    private function step(Request $request, string $letters, callable $work): Response
    {
        return $this->write($request, function (Input $input) use ($letters, $work): Outcome {
            $said = $work($input, $this->units->one($letters));

            return Outcome::undoable($this->generateUrl('change_unit', ['letters' => $letters]), $said);
        }, fn (Problem $problem): Response => $this->showChange($letters, $problem));
    }

    private function showNew(?Problem $problem, ?UnitTemplate $like = null): Response
    {
        $used = array_map(static fn (UnitRow $unit): string => $unit->letters, array_values($this->room->units()));
        $free = array_values(array_diff([...range('B', 'Z'), 'A'], self::NOT_FOR_LABELS, $used))[0] ?? '';

        return $this->render('room/stores/new_unit.html.twig', [
            'templates' => UnitTemplate::cases(),
            'letter' => $free,
            'is_first' => [] === $used,
            'like' => $like ?? UnitTemplate::Chest,
            'rooms' => $this->floor->rooms(),
            'problem' => $problem,
        ]);
    }

    private function showChange(string $letters, ?Problem $problem): Response
    {
        $unit = $this->room->unit($letters);

        return $this->render('room/stores/change_unit.html.twig', [
            'unit' => $unit,
            'places' => $this->room->placesByUnit($unit->id)[$unit->id] ?? [],
            'rooms' => $this->floor->rooms(),
            'problem' => $problem,
        ]);
    }
}
