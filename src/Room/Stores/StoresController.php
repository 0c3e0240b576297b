<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\LinesLeft;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Filing\InvalidScheme;
use Lottel\Core\Filing\SortBy;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The room with its units, and one of them. */
final class StoresController extends Page
{
    public function __construct(
        private readonly RoomReading $room,
        private readonly PlaceReading $places,
        private readonly RoomWalls $walls,
        private readonly WallReading $next,
        private readonly LinesLeft $left,
    ) {
    }

    #[Route('/stores', name: 'stores', methods: ['GET'])]
    public function index(Request $request): Response
    {
        $season = Season::broughtForwardOn($this->roomClock->today(), $this->roomClock->timeZone());
        $wall = $this->walls->named($request->query->getString('wall'));

        return $this->render('room/stores/index.html.twig', [
            'season' => $season,
            'in_season' => $this->places->ofSeason($season),
            'walls' => $this->walls->all(),
            'seen' => $wall,
            'wall' => $wall?->name,
            'next' => null === $wall ? [] : $this->next->next($wall),
            'places' => $this->room->placesByUnit(),
            'templates' => UnitTemplate::cases(),
        ]);
    }

    /** The drawing of the room by itself, with another of its walls in view. */
    #[Route('/room', name: 'room_panel', methods: ['GET'])]
    public function panel(Request $request): Response
    {
        return $this->render('room/stores/_panel.html.twig', ['wall' => $request->query->getString('wall'), 'lit' => self::lit($request)]);
    }

    /** One unit so large that a finger finds each of its fronts. */
    #[Route('/room/units/{letters}', name: 'unit_large', methods: ['GET'])]
    public function large(string $letters, Request $request): Response
    {
        return $this->render('room/stores/_large.html.twig', ['unit' => $this->room->unit($letters), 'lit' => self::lit($request)]);
    }

    #[Route('/stores/units/{letters}', name: 'unit', methods: ['GET'])]
    public function unit(string $letters): Response
    {
        return $this->showUnit($letters, null);
    }

    #[Route('/stores/units/{letters}/names', name: 'name_places', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function name(Request $request, string $letters, Units $units, NamePlaces $name): Response
    {
        return $this->write($request, function (Input $input) use ($letters, $units, $name): Outcome {
            $unit = $units->one($letters);
            $changed = $name($unit, $this->names($input, (int) $unit->id));

            return Outcome::undoable(
                $input->isTicked('from') ? $this->left->kept($input->text('things', 40_000), $this->cameFrom($input))
                    : $this->generateUrl('unit', ['letters' => $unit->letters]),
                0 === $changed ? 'Nothing was changed.' : \sprintf('%s written down.', Counted::of($changed, 'place')),
            );
        }, fn (Problem $problem): Response => $this->showUnit($letters, $problem));
    }

    private function showUnit(string $letters, ?Problem $problem): Response
    {
        $unit = $this->room->unit($letters);

        return $this->render('room/stores/unit.html.twig', [
            'unit' => $unit,
            'places' => $this->room->placesByUnit($unit->id)[$unit->id] ?? [],
            'wall' => $unit->wall,
            'problem' => $problem,
            'kinds' => Kind::cases(),
            'sorts' => SortBy::cases(),
        ]);
    }

    /** @return array<int, PlaceWords> what was typed, by place; what a form does not ask for is as it was */
    private function names(Input $input, int $unit): array
    {
        $names = [];
        foreach ($this->room->placesByUnit($unit)[$unit] ?? [] as $place) {
            $id = $place->id;
            if ($input->has('name_'.$id)) {
                $names[$id] = new PlaceWords(
                    $input->text('name_'.$id, 120),
                    Kind::tryFrom($input->text('kind_'.$id, 20)),
                    $input->has('maker_'.$id) ? $input->text('maker_'.$id, 120) : $place->saysMaker,
                    $input->has('theme_'.$id) ? $input->text('theme_'.$id, 120) : $place->saysTheme,
                    self::order($input, $place),
                );
            }
        }
        $input->check();

        return $names;
    }

    private static function order(Input $input, PlaceLine $place): FilingScheme
    {
        if (!$input->has('order_'.$place->id)) {
            return $place->scheme();
        }
        try {
            return $place->scheme()->beginningWith($input->text('order_'.$place->id, 20), $input->text('then_'.$place->id, 20));
        } catch (InvalidScheme $wrong) {
            $input->refuse('order_'.$place->id, $wrong->getMessage());

            return $place->scheme();
        }
    }

    /** @return array<int, string> what is written on the discs of lit places */
    private static function lit(Request $request): array
    {
        $lit = [];
        foreach ($request->query->all('lit') as $place => $stop) {
            if (\is_int($place) && \is_string($stop)) {
                $lit[$place] = mb_substr($stop, 0, 4);
            }
        }

        return $lit;
    }
}
