<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\CountThing;
use App\Room\Catalogue\DescribeItem;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\Weighing;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Paper counted by weighing it, one kind after the other. */
#[IsGranted('ROLE_OWNER')]
final class WeighController extends Page
{
    private const MOST = 9999;

    public function __construct(
        private readonly WeighReading $reading,
        private readonly Scale $scale,
        private readonly Items $items,
        private readonly Places $places,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/paper/weigh', name: 'weigh', methods: ['GET'])]
    public function page(Request $request, ?Problem $problem = null): Response
    {
        return $this->show($request->query->getInt('paper'), $request->query->getInt('place'), $problem);
    }

    /** Sets the count of a paper to what was weighed: the difference is a line of the log with its reason. */
    #[Route('/paper/weigh', name: 'set_by_weight', methods: ['POST'])]
    public function set(Request $request, CountThing $count): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($count): Outcome {
            $sheets = $input->whole('sheets', 0, self::MOST);
            $shown = $input->text('shown', 20);
            $input->check();
            $item = $this->paper($input);
            $place = $this->places->storeNumber($input->id('place'));
            $difference = $count($step, $item, $place, $sheets, 'weighed'.('' === $shown ? '' : ', '.$shown));
            $said = self::said($item->name.' in '.$place->address, $sheets, $difference);

            return Outcome::undoable($this->generateUrl('weigh', $this->reading->after((int) $item->id, (int) $place->id)), $said);
        }, fn (Problem $problem): Response => $this->show($request->request->getInt('paper'), $request->request->getInt('place'), $problem));
    }

    /** A known number of sheets lies on the scale: from now on the paper weighs what they do. */
    #[Route('/paper/weigh/learn', name: 'learn_weight', methods: ['POST'])]
    public function learn(Request $request, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($describe): Outcome {
            $sheets = $input->whole('known', 1, self::MOST);
            $input->check();
            $item = $this->paper($input);
            $sheet = $item->sheet->sheet();
            $area = $sheet->doubledArea() ?? throw StepRefused::hasNoSize($item->name);
            try {
                $weight = Weighing::learned($area, $sheets, $this->scale->weigh()->grams, $sheet->weight?->basis);
            } catch (InvalidGrammage) {
                $input->refuse('known', 'No paper weighs that. Is it this one that lies on the scale, and so many of it?');
                $input->check();
                throw new \LogicException('unreachable');
            }
            $describe($item, $item->record()->measured($sheet->weighing($weight, true)), $item->tracking);

            return Outcome::undoable(
                $this->generateUrl('weigh', ['paper' => $item->id, 'place' => $input->id('place')]),
                \sprintf('%s weighs %s.', $item->name, $weight->inWords()),
            );
        }, fn (Problem $problem): Response => $this->show($request->request->getInt('paper'), $request->request->getInt('place'), $problem));
    }

    /** Lays sheets of a paper onto the stand-in, or changes its mood. */
    #[Route('/paper/weigh/stand-in', name: 'set_scale', methods: ['POST'])]
    public function standIn(Request $request, SimulatedScale $scale): Response
    {
        return $this->write($request, function (Input $input) use ($scale): Outcome {
            $grams = $input->isEmpty('grams') ? null : $input->whole('grams', 0, 2 * SimulatedScale::MOST);
            $mood = $input->choice('mood', ScaleMood::class);
            $input->check();
            if (null !== $grams) {
                $scale->load((float) $grams);
            }
            $scale->be($mood);

            return Outcome::final($this->generateUrl('weigh', ['paper' => $input->id('paper'), 'place' => $input->id('place')]), '');
        }, fn (Problem $problem): Response => $this->show($request->request->getInt('paper'), $request->request->getInt('place'), $problem));
    }

    /** @throws StepRefused if it has no sheets that could be weighed */
    private function paper(Input $input): Item
    {
        $item = $this->items->one($input->id('paper'));

        return $item->kind->isSheet() ? $item : throw StepRefused::isNoPaper($item->name);
    }

    private static function said(string $what, int $sheets, int $difference): string
    {
        $many = Counted::of($sheets, 'sheet');

        return 0 === $difference
            ? \sprintf('%s agrees with the log: %s.', $what, $many)
            : \sprintf('%s: %s as weighed, %d %s than the log believed.', $what, $many, abs($difference), $difference > 0 ? 'more' : 'fewer');
    }

    private function show(int $paper, int $place, ?Problem $problem): Response
    {
        $stacks = $this->reading->stacks();
        $chosen = WeighReading::chosen($stacks, $paper, $place);
        $reading = $trouble = null;
        try {
            $reading = $this->scale->weigh();
        } catch (ScaleTrouble $wrong) {
            $trouble = $wrong->getMessage();
        }
        $grams = $chosen?->paper->sheet->grams();

        return $this->render('kits/paper/weigh.html.twig', [
            'stacks' => $stacks,
            'chosen' => $chosen,
            'reading' => $reading,
            'trouble' => $trouble,
            'weighing' => null === $reading || null === $grams || null === $chosen
                ? null
                : Weighing::of($grams, $reading->grams, $reading->error, $chosen->paper->sheet->isWeighed),
            'stand_in' => $this->scale instanceof SimulatedScale ? $this->scale : null,
            'moods' => ScaleMood::cases(),
            'lit' => null === $chosen ? [] : $this->room->lit([$chosen->placeId]),
            'problem' => $problem,
        ]);
    }
}
