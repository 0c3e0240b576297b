<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\RoomReading;
use App\Room\Stores\WaysOfRoom;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Better homes: what the present ones cost, the few moves that save most, and the round that makes them. */
final class RehomingController extends Page
{
    private const MOST = 30;

    public function __construct(
        private readonly FindBetterHomes $homes,
        private readonly SlipsOfPlan $slips,
        private readonly RoomReading $room,
        private readonly WaysOfRoom $ways,
    ) {
    }

    /** Shows what was found before; where nothing was, the page asks for it by itself, and by a link. */
    #[Route('/upkeep/homes', name: 'better_homes', methods: ['GET'])]
    public function index(Request $request): Response
    {
        $most = self::most($request);
        $kept = $request->query->getBoolean('look') ? $this->homes->find($most) : $this->homes->kept($most);

        return $this->show($most, $kept, null);
    }

    #[Route('/upkeep/homes', name: 'begin_rehoming', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function begin(Request $request, BeginRehoming $begin): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($begin): Outcome {
            $most = $input->whole('most', 1, self::MOST);
            $input->check();
            $keys = \array_slice($input->list('exchange'), 0, self::MOST);
            if ([] === $keys) {
                throw StepRefused::nothingChosen();
            }
            $errand = $begin($step, $most, $keys);

            return Outcome::undoable($this->generateUrl('errand', ['id' => $errand->id]), '');
        }, fn (Problem $problem): Response => $this->show(self::most($request), null, $problem), function () use ($request): void {
            $this->homes->find(self::most($request));
        });
    }

    private static function most(Request $request): int
    {
        $asked = (int) $request->query->getString('most', (string) $request->request->get('most', ''));

        return $asked < 1 ? FindBetterHomes::USUAL : min(self::MOST, $asked);
    }

    private function show(int $most, ?KeptPlan $kept, ?Problem $problem): Response
    {
        $slips = null === $kept ? [] : $this->slips->of($kept->plan);
        $arrows = SlipsOfPlan::arrows($slips);
        $lit = array_merge(...array_map(static fn (array $arrow): array => [$arrow[0], $arrow[1]], $arrows));

        return $this->render('upkeep/rehoming/homes.html.twig', [
            'most' => $most,
            'most_of_all' => self::MOST,
            'kept' => $kept,
            'slips' => $slips,
            'arrows' => $arrows,
            'lit' => $this->room->lit($lit),
            'time' => $this->ways->inWords(array_map(static fn (int $place): array => [$place, 1], $lit)),
            'problem' => $problem,
        ]);
    }
}
