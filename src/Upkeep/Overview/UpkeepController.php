<?php

declare(strict_types=1);

namespace App\Upkeep\Overview;

use App\Platform\Backup\AgeOfBackup;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\ItemReading;
use App\Room\Stores\RoomReading;
use App\Upkeep\Capacity\CapacityReading;
use App\Upkeep\Counting\CountHistories;
use App\Upkeep\Lost\LikelySpot;
use App\Upkeep\Lost\LostReading;
use App\Upkeep\PutAway\LeftOutKit;
use App\Upkeep\PutAway\LeftOutReading;
use App\Upkeep\Rehoming\ExchangeSlip;
use App\Upkeep\Rehoming\FindBetterHomes;
use App\Upkeep\Rehoming\SlipsOfPlan;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundReading;
use App\Upkeep\Rounds\UpkeepRounds;
use App\Upkeep\Seasons\SeasonReading;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What gets better: a look at all of upkeep, and one round that does several things at once. */
final class UpkeepController extends Page
{
    private const SLIPS = 3;
    private const SPOTS = 3;

    public function __construct(
        private readonly FindBetterHomes $homes,
        private readonly SlipsOfPlan $slips,
        private readonly LostReading $lost,
        private readonly LeftOutReading $lying,
        private readonly CountHistories $counts,
        private readonly CapacityReading $filling,
        private readonly UpkeepRounds $errands,
        private readonly UpkeepRoundReading $rounds,
        private readonly ItemReading $items,
        private readonly RoomReading $room,
        private readonly BeginAll $all,
        private readonly SeasonReading $seasons,
        private readonly AgeOfBackup $backup,
    ) {
    }

    #[Route('/upkeep', name: 'upkeep', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $kept = $this->homes->kept(FindBetterHomes::USUAL);
        $slips = \array_slice(null === $kept ? [] : $this->slips->of($kept->plan), 0, self::SLIPS);
        $lost = $this->lost->all();
        $search = [] === $lost ? null : $this->lost->search($lost[0]->thing->id);
        $filled = $this->filling->now();

        return $this->render('upkeep/overview/index.html.twig', [
            'kept' => $kept,
            'slips' => $slips,
            'arrows' => SlipsOfPlan::arrows($slips),
            'lost' => $lost,
            'spots' => $search?->foremost(self::SPOTS) ?? [],
            'rest' => $search?->restOf(self::SPOTS),
            'old' => array_values(array_filter($this->lying->kits(), static fn (LeftOutKit $kit): bool => $kit->isOld())),
            'not_filed' => $this->items->notFiled(),
            'accuracy' => $this->counts->accuracy(),
            'season' => $this->seasons->page(),
            'backup' => $this->backup->now(),
            'over' => $filled->over(),
            'growing' => $filled->growing(),
            'rounds' => array_map(fn (UpkeepRound $errand): array => [$errand, $this->rounds->round($errand)], $this->errands->open()),
            'lit' => $this->lit($slips, $search?->foremost(self::SPOTS) ?? []),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep', name: 'begin_all', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function begin(Request $request): Response
    {
        return $this->write($request, function (Input $input, Step $step): Outcome {
            $errand = ($this->all)($step);

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, $this->index(...));
    }

    /**
     * @param list<ExchangeSlip> $slips
     * @param list<LikelySpot> $spots
     *
     * @return array<int, string> what the room shows: homes of what moves, and places where something lost may be
     */
    private function lit(array $slips, array $spots): array
    {
        $lit = array_map(static fn (LikelySpot $spot): array => [$spot->likely->place, '?'], $spots);
        foreach (SlipsOfPlan::arrows($slips) as [$from, $to]) {
            $lit = [...$lit, [$from, ''], [$to, '']];
        }

        return $this->room->litWith($lit);
    }
}
