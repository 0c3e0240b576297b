<?php

declare(strict_types=1);

namespace App\Stores;

use App\Find\FindIndex;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\Unknown;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\Division;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Furniture\UnitSize;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Room\RoomLayout;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Rooms, floor plans, and furniture that is set up and changed. */
final class FurnitureController extends Page
{
    private const MOST_FIXTURES = 8;

    public function __construct(private readonly RoomReading $room, private readonly FloorReading $floor, private readonly StoreReading $stores, private readonly ChangeFurniture $change)
    {
    }

    #[Route('/stores/plan/{id<[0-9]{1,9}>?}', name: 'floor_plan', methods: ['GET'])]
    public function plan(?int $id = null): Response
    {
        return $this->showPlan($id, null);
    }

    #[Route('/stores/plan/{id<[0-9]{1,9}>}', name: 'keep_plan', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function keepPlan(Request $request, int $id, ArrangeRoom $arrange): Response
    {
        return $this->write($request, function (Input $input) use ($id, $arrange): Outcome {
            $room = $this->entities->find(Room::class, $id) ?? throw Unknown::room($id);
            $layout = $this->layoutFrom($input);
            $spots = $this->spotsFrom($input);
            $input->check();
            $arrange($room, $layout, $spots);

            return Outcome::undoable($this->generateUrl('floor_plan', ['id' => $id]), 'The plan is kept. Rounds follow it from now on.');
        }, fn (Problem $problem): Response => $this->showPlan($id, $problem));
    }

    #[Route('/stores/rooms', name: 'add_room', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function addRoom(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('room_name', 120, true);
            $input->check();
            $room = new Room($name, $this->frame->measure(), $this->frame->room()['time_zone']);
            $room->plan = (new RoomLayout())->toArray();
            $this->entities->persist($room);
            $this->entities->flush();

            return Outcome::undoable($this->generateUrl('floor_plan', ['id' => $room->id]), \sprintf('%s is there. Draw its walls, then move units into it or build one.', $name));
        }, fn (Problem $problem): Response => $this->showPlan(null, $problem));
    }

    #[Route('/stores/new-unit', name: 'new_unit', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function newUnit(): Response
    {
        return $this->showNewUnit(null);
    }

    #[Route('/stores/new-unit', name: 'build_unit', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function build(Request $request, BuildUnit $build): Response
    {
        return $this->write($request, function (Input $input) use ($build): Outcome {
            $template = $input->choice('template', UnitTemplate::class);
            $letters = $input->text('letters', 3, true);
            if (!preg_match('/^[a-z]{1,3}$/iD', $letters)) {
                $input->refuse('letters', 'One to three letters, such as C.');
            }
            $name = $input->text('name', 120);
            $wall = $input->text('wall', 60);
            $heights = $input->lengths('row_heights');
            $rows = [] === $heights ? $input->whole('rows', 1, UnitTemplate::MOST_ROWS) : \count($heights);
            $columns = $template->hasColumns() ? $input->whole('columns', 1, UnitTemplate::MOST_COLUMNS) : 1;
            $size = new UnitSize($input->length('width', 6000), $input->length('height', 4000), $input->length('depth', 2000), $input->length('above_floor', 4000), $heights);
            $room = $this->roomFrom($input);
            $input->check();
            $places = $build($room, $template, strtoupper($letters), '' === $name ? $template->label() : $name, '' === $wall ? $room->name : $wall, $rows, $columns, $size);

            return Outcome::undoable($this->urlOf($places[0]), \sprintf('%s stands in the room with %s. Put things into its first one.', strtoupper($letters), Counted::of(\count($places), 'place')));
        }, $this->showNewUnit(...));
    }

    #[Route('/stores/units/{letters}/change', name: 'change_unit', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function changeUnit(string $letters): Response
    {
        return $this->showChange($letters, null);
    }

    #[Route('/stores/units/{letters}/describe', name: 'describe_unit', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describeUnit(Request $request, string $letters, ArrangeRoom $arrange, FindIndex $index): Response
    {
        return $this->change($request, $letters, function (Input $input, Unit $unit) use ($arrange, $index): string {
            $name = $input->text('name', 120, true);
            $wall = $input->text('wall', 60, true);
            $caution = $input->text('caution', 300);
            $floor = $input->length('above_floor', 4000);
            $room = $this->roomFrom($input);
            $input->check();
            [$unit->name, $unit->wall, $unit->caution, $unit->aboveFloor] = [$name, $wall, $caution, $floor->ticks ?? 0];
            if ($unit->room !== $room) {
                $unit->room = $room;
                $arrange->setDown($unit);
                $this->entities->flush();
                $arrange->number();
            }
            foreach ($this->placesOf($unit) as $place) {
                $index->place($place);
            }

            return 'Written down.';
        });
    }

    #[Route('/stores/units/{letters}/row', name: 'add_row', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function addRow(Request $request, string $letters): Response
    {
        return $this->change($request, $letters, function (Input $input, Unit $unit): string {
            $height = $input->length('row_height', 2000);
            $input->check();
            $added = $this->change->addRow($unit, $height);

            return \sprintf('%s %s new, and waits for a label.', implode(', ', array_map(static fn (Place $place): string => $place->address, $added)), 1 === \count($added) ? 'is' : 'are');
        });
    }

    #[Route('/stores/units/{letters}/renumber', name: 'renumber_unit', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function renumber(Request $request, string $letters): Response
    {
        return $this->change($request, $letters, function (Input $input, Unit $unit): string {
            $changed = $this->change->renumber($unit);

            return 0 === $changed ? 'All are in order already.' : \sprintf('%s; %s to be printed.', Counted::of($changed, 'place has a new address', 'places have new addresses'), 1 === $changed ? 'its label waits' : 'their labels wait');
        });
    }

    #[Route('/stores/units/{letters}/retire', name: 'retire_unit', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function retireUnit(Request $request, string $letters): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($letters): Outcome {
            $unit = $this->unit($letters);
            $this->change->retireUnit($step, $unit);

            return Outcome::undoable($this->generateUrl('stores'), \sprintf('%s is gone from the room. Its log stays.', $letters));
        }, fn (Problem $problem): Response => $this->showChange($letters, $problem));
    }

    #[Route('/stores/places/{address}/furniture', name: 'place_furniture', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function furniture(string $address): Response
    {
        return $this->showFurniture($address, null);
    }

    #[Route('/stores/places/{address}/divide', name: 'divide_into', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function divideInto(Request $request, string $address, BuildUnit $build): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place) use ($build): Outcome {
            $division = $input->choice('division', Division::class);
            $isGrid = Division::Grid === $division;
            $rows = $isGrid ? $input->whole('rows', 1, Division::MOST) : 1;
            $columns = $isGrid ? $input->whole('columns', 1, Division::MOST) : 1;
            $input->check();
            $inner = $build->divideInto($place, $division, $rows, $columns);

            return Outcome::undoable($this->urlOf($place), \sprintf('%s holds %s now; their labels wait to be printed.', $place->address, implode(', ', array_map(static fn (Place $one): string => $one->address, $inner))));
        });
    }

    #[Route('/stores/places/{address}/split', name: 'split_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function split(Request $request, string $address): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place): Outcome {
            $parts = $input->whole('parts', 2, 12);
            $isSideBySide = 'across' === $input->text('direction', 10);
            $input->check();
            $new = $this->change->split($place, $parts, $isSideBySide);

            return Outcome::undoable($this->urlOf($place), \sprintf('Beside %s there %s now %s. What was in it is still in %s.', $place->address, 1 === \count($new) ? 'is' : 'are', implode(', ', array_map(static fn (Place $one): string => $one->address, $new)), $place->address));
        });
    }

    #[Route('/stores/places/{address}/merge', name: 'merge_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function merge(Request $request, string $address): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place, Step $step): Outcome {
            $with = $this->required($input, 'with');
            $gone = $with->address;
            $this->change->merge($step, $place, $with);

            return Outcome::undoable($this->urlOf($place), \sprintf('%s and %s are one now: %s. All that was in them is in it.', $place->address, $gone, $place->address));
        });
    }

    #[Route('/stores/places/{address}/address', name: 'readdress_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function readdress(Request $request, string $address): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place): Outcome {
            $typed = $input->text('new_address', 24, true);
            try {
                $new = Address::parse($typed);
            } catch (InvalidAddress $problem) {
                $input->refuse('new_address', $problem->getMessage());
            }
            $input->check();
            \assert(isset($new));
            $this->change->readdress($place, $new);

            return Outcome::undoable($this->urlOf($place), \sprintf('It is %s now; its label waits to be printed.', $place->address));
        });
    }

    #[Route('/stores/places/{address}/into', name: 'move_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function moveInto(Request $request, string $address): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place): Outcome {
            $outer = $this->required($input, 'outer');
            $this->change->moveInto($place, $outer);

            return Outcome::undoable($this->urlOf($place), \sprintf('It stands in %s now, as %s, with all that is in it.', $outer->address, $place->address));
        });
    }

    #[Route('/stores/places/{address}/empty', name: 'empty_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function empty(Request $request, string $address): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place, Step $step): Outcome {
            $to = $this->required($input, 'to');
            $moved = $this->change->empty($step, $place, $to);

            return Outcome::undoable($this->generateUrl('place_furniture', ['address' => $place->address]), \sprintf('%s in %s now.', Counted::of($moved, 'thing lives', 'things live'), $to->address));
        });
    }

    #[Route('/stores/places/{address}/retire', name: 'retire_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function retire(Request $request, string $address): Response
    {
        return $this->changePlace($request, $address, function (Input $input, Place $place, Step $step): Outcome {
            $outer = $place->parent;
            $unit = $place->unit;
            $old = $place->address;
            $this->change->retire($step, $place);
            $to = null !== $outer ? $this->urlOf($outer) : $this->generateUrl('unit', ['letters' => $unit->letters ?? '']);

            return Outcome::undoable($to, \sprintf('%s is no longer in use. Its log stays.', $old));
        });
    }

    /** @param callable(Input, Unit): string $work */
    private function change(Request $request, string $letters, callable $work): Response
    {
        return $this->write($request, function (Input $input) use ($letters, $work): Outcome {
            $said = $work($input, $this->unit($letters));

            return Outcome::undoable($this->generateUrl('change_unit', ['letters' => $letters]), $said);
        }, fn (Problem $problem): Response => $this->showChange($letters, $problem));
    }

    /** @param callable(Input, Place, Step): Outcome $work */
    private function changePlace(Request $request, string $address, callable $work): Response
    {
        return $this->write($request, fn (Input $input, Step $step): Outcome => $work($input, $this->place($this->frame->address($address)), $step), fn (Problem $problem): Response => $this->showFurniture($address, $problem));
    }

    private function required(Input $input, string $field): Place
    {
        $place = $this->storage($input, $field);
        if (null === $place) {
            $input->refuse($field, 'Type the address of a place, such as C3.');
        }
        $input->check();
        \assert(null !== $place);

        return $place;
    }

    private function roomFrom(Input $input): Room
    {
        $rooms = $this->entities->getRepository(Room::class)->findBy([], ['id' => 'ASC']);
        $id = $input->id('room');
        foreach ($rooms as $room) {
            if ($room->id === $id) {
                return $room;
            }
        }

        return $rooms[0] ?? throw Unknown::room($id);
    }

    private function layoutFrom(Input $input): RoomLayout
    {
        $side = fn (string $field): int => $this->millimetres($input, $field, $input->length($field), RoomLayout::LEAST_MM);
        $width = $side('room_width');
        $depth = $side('room_depth');
        $doorAt = intdiv($input->length('door_at')->ticks ?? 0, Length::TICKS_PER_MILLIMETRE);
        $doorWidth = intdiv($input->length('door_width')->ticks ?? 0, Length::TICKS_PER_MILLIMETRE);
        if ($doorAt + $doorWidth > $width) {
            $input->refuse('door_at', 'The door would be outside the wall.');
        }
        $fixtures = [];
        foreach (\array_slice($input->list('fixture'), 0, self::MOST_FIXTURES) as $index => $name) {
            $sides = array_map(fn (string $field): int => $this->whole($input->list($field)[$index] ?? ''), ['fixture_x', 'fixture_y', 'fixture_width', 'fixture_depth']);
            if ('' === trim($name)) {
                continue;
            }
            if (min($sides) < 0 || 0 === $sides[2] || 0 === $sides[3]) {
                $input->refuse('fixtures', \sprintf('Say of %s where it stands, and how wide and deep it is, such as 600 mm or 24 in.', mb_substr(trim(mb_scrub($name)), 0, 40)));
            } else {
                $fixtures[] = ['name' => mb_substr(trim(mb_scrub($name)), 0, 40), 'x' => $sides[0], 'y' => $sides[1], 'width' => $sides[2], 'depth' => $sides[3]];
            }
        }

        return new RoomLayout($width, $depth, $doorAt, $doorWidth, $fixtures);
    }

    private function millimetres(Input $input, string $field, ?Length $length, int $least): int
    {
        $millimetres = intdiv($length->ticks ?? 0, Length::TICKS_PER_MILLIMETRE);
        if ($millimetres < $least || $millimetres > RoomLayout::MOST_MM) {
            $input->refuse($field, \sprintf('From %s to %s m.', $least / 1000, RoomLayout::MOST_MM / 1000));
        }

        return max($least, min(RoomLayout::MOST_MM, $millimetres));
    }

    /** @return array<int, array{int, int, int}> */
    private function spotsFrom(Input $input): array
    {
        [$xs, $ys, $turns] = [$input->list('x'), $input->list('y'), $input->list('turn')];
        $spots = [];
        foreach ($input->list('unit') as $index => $unit) {
            $turn = (int) ($turns[$index] ?? 0);
            [$x, $y] = [$this->distance($input, $xs[$index] ?? ''), $this->distance($input, $ys[$index] ?? '')];
            if (!\in_array($turn, [0, 90, 180, 270], true)) {
                $input->refuse('plan', 'A unit is turned by 0, 90, 180 or 270.');
                $turn = 0;
            }
            $spots[(int) $unit] = [$x, $y, $turn];
        }

        return $spots;
    }

    private function distance(Input $input, string $text): int
    {
        $distance = $this->whole($text);
        if ($distance < 0) {
            $input->refuse('plan', \sprintf('“%s” is no place for a unit. Give how far it is from the left or from the upper wall, such as 1200 mm or 48 in.', mb_substr(trim(mb_scrub($text)), 0, 20)));
        }

        return max(0, $distance);
    }

    /** Reads a length, a bare number as the room measures, to the nearest millimetre; -1 where it is none. */
    private function whole(string $text): int
    {
        try {
            return preg_match('/[0-9]/', $text) ? intdiv(Length::parse(trim($text), $this->frame->measure())->ticks + intdiv(Length::TICKS_PER_MILLIMETRE, 2), Length::TICKS_PER_MILLIMETRE) : -1;
        } catch (InvalidLength) {
            return -1;
        }
    }

    /** @return list<Place> */
    private function placesOf(Unit $unit): array
    {
        return $this->entities->getRepository(Place::class)->findBy(['unit' => $unit, 'retiredAt' => null]);
    }

    private function unit(string $letters): Unit
    {
        $unit = $this->entities->getRepository(Unit::class)->findOneBy(['letters' => strtoupper($letters)]);

        return null === $unit || $unit->isRetired() ? throw Unknown::unit($letters) : $unit;
    }

    private function showPlan(?int $id, ?Problem $problem): Response
    {
        $rooms = $this->floor->rooms();
        $shown = null === $id ? reset($rooms) : ($rooms[$id] ?? throw Unknown::room($id));

        return $this->render('stores/plan.html.twig', ['rooms' => $rooms, 'shown' => $shown, 'problem' => $problem]);
    }

    private function showNewUnit(?Problem $problem): Response
    {
        $used = array_column($this->room->units(), 'letters');
        $free = array_values(array_diff(range('A', 'Z'), ['I', 'O'], $used))[0] ?? '';

        return $this->render('stores/new_unit.html.twig', ['templates' => UnitTemplate::cases(), 'letter' => $free, 'is_first' => [] === $used, 'rooms' => $this->floor->rooms(), 'problem' => $problem]);
    }

    private function showChange(string $letters, ?Problem $problem): Response
    {
        $unit = $this->room->unit($letters);
        $id = (int) $unit['id'];

        return $this->render('stores/change_unit.html.twig', ['unit' => $unit, 'places' => $this->room->placesByUnit($id)[$id] ?? [], 'rooms' => $this->floor->rooms(), 'problem' => $problem]);
    }

    private function showFurniture(string $address, ?Problem $problem): Response
    {
        $place = $this->stores->place($this->frame->address($address));
        if (null === $place || null === $place['unit_id'] || null !== $place['retired_at']) {
            throw Unknown::place($address);
        }

        return $this->render('stores/furniture.html.twig', ['place' => $place, 'lives_here' => $this->stores->livesIn((int) $place['id']), 'lit' => $this->room->lit([$place['id']]), 'problem' => $problem]);
    }

    private function urlOf(Place $place): string
    {
        return $this->generateUrl('place', ['address' => $place->address]);
    }
}
