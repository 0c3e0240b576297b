<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Backup\AgeOfBackup;
use App\Catalogue\ItemReading;
use App\Counting\CountHistories;
use App\Errands\Errand;
use App\Errands\ErrandReading;
use App\Errands\Errands;
use App\Filling\FillingReading;
use App\Lost\LikelySpot;
use App\Lost\LostReading;
use App\Lying\LyingKit;
use App\Lying\LyingReading;
use App\Rehoming\ExchangeSlip;
use App\Rehoming\FindBetterHomes;
use App\Rehoming\SlipsOfPlan;
use App\Seasons\SeasonReading;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Stores\RoomReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
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
        private readonly LyingReading $lying,
        private readonly CountHistories $counts,
        private readonly FillingReading $filling,
        private readonly Errands $errands,
        private readonly ErrandReading $rounds,
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

        return $this->render('upkeep/index.html.twig', [
            'kept' => $kept,
            'slips' => $slips,
            'arrows' => SlipsOfPlan::arrows($slips),
            'lost' => $lost,
            'spots' => $search?->foremost(self::SPOTS) ?? [],
            'rest' => $search?->restOf(self::SPOTS),
            'old' => array_values(array_filter($this->lying->kits(), static fn (LyingKit $kit): bool => $kit->isOld())),
            'not_filed' => $this->items->notFiled(),
            'accuracy' => $this->counts->accuracy(),
            'season' => $this->seasons->page(),
            'backup' => $this->backup->now(),
            'over' => $filled->over(),
            'growing' => $filled->growing(),
            'rounds' => array_map(fn (Errand $errand): array => [$errand, $this->rounds->round($errand)], $this->errands->open()),
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
