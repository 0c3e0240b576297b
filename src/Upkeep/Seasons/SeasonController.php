<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use App\Room\Stores\WaysOfRoom;
use Lottel\Core\Upkeep\Seasons\Seasonal;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The seasons: what comes forward, what goes back, and the places that are kept for it. */
final class SeasonController extends Page
{
    private const MOST = 200;
    private const MOST_PROPOSED = 4;
    private const MOST_ARROWS = 12;

    public function __construct(
        private readonly SeasonReading $reading,
        private readonly ItemReading $items,
        private readonly Places $places,
        private readonly RoomReading $room,
        private readonly WaysOfRoom $ways,
    ) {
    }

    #[Route('/upkeep/seasons', name: 'seasons', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $page = $this->reading->page();
        $moves = $page->moves();

        return $this->render('upkeep/seasons/seasons.html.twig', [
            'page' => $page,
            'moves' => $moves,
            'things' => $this->things([...$page->forward, ...$page->waiting, ...$page->back, ...$page->homeless]),
            'arrows' => self::arrows($moves),
            'lit' => $this->room->lit(self::ends($moves)),
            'time' => $this->ways->inWords(array_map(static fn (int $place): array => [$place, 1], self::ends($moves))),
            'proposed' => [] === $page->fronts ? $this->reading->proposedFronts(self::MOST_PROPOSED) : [],
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/seasons', name: 'begin_season_round', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function begin(Request $request, BeginSeasonRound $begin): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($begin): Outcome {
            $keys = \array_slice($input->list('move'), 0, self::MOST);
            if ([] === $keys) {
                throw StepRefused::nothingChosen();
            }

            return Outcome::undoable($this->generateUrl('errand', ['id' => $begin($step, $keys)->id]), '');
        }, $this->index(...));
    }

    #[Route('/upkeep/seasons/places', name: 'keep_for_season', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function keep(Request $request, KeepForSeason $keep): Response
    {
        return $this->write($request, function (Input $input) use ($keep): Outcome {
            $place = $this->places->required($input, 'place');
            $isKept = !$input->isTicked('not');
            $input->check();
            $keep($place, $isKept);

            return Outcome::undoable(
                $this->generateUrl('seasons'),
                \sprintf($isKept ? '%s is kept for the season at hand.' : '%s is a place like any other now.', $place->address),
            );
        }, $this->index(...));
    }

    /**
     * @param list<Seasonal> $seasonal
     *
     * @return array<int, ThingLine> the first thing of each, by number
     */
    private function things(array $seasonal): array
    {
        $things = [];
        foreach ($this->items->lines(array_map(static fn (Seasonal $one): int => $one->household->things[0]->id, $seasonal)) as $line) {
            $things[$line->id] = $line;
        }

        return $things;
    }

    /**
     * @param array<string, Seasonal> $moves
     *
     * @return list<array{int, int, string}> one arrow for all that goes the same way, with how many things go it
     */
    private static function arrows(array $moves): array
    {
        $ways = [];
        foreach ($moves as $move) {
            $way = $move->from->id.'-'.$move->to?->id;
            $ways[$way] = [$move->from->id, (int) $move->to?->id, ($ways[$way][2] ?? 0) + \count($move->household->things)];
        }

        return array_map(
            static fn (array $way): array => [$way[0], $way[1], (string) $way[2]],
            \array_slice(array_values($ways), 0, self::MOST_ARROWS),
        );
    }

    /**
     * @param array<string, Seasonal> $moves
     *
     * @return list<int>
     */
    private static function ends(array $moves): array
    {
        return array_values(array_unique(array_merge(
            ...array_values(array_map(static fn (Seasonal $move): array => [$move->from->id, (int) $move->to?->id], $moves)),
        )));
    }
}
