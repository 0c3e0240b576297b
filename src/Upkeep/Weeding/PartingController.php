<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Upkeep\Rounds\Fate;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The boxes of what is to be given away, recycled and sold. */
final class PartingController extends Page
{
    private const MOST = 200;

    public function __construct(private readonly PartingReading $reading, private readonly Items $items)
    {
    }

    #[Route('/upkeep/parting', name: 'parting', methods: ['GET'])]
    public function page(?Problem $problem = null): Response
    {
        $boxes = $this->reading->boxes();

        return $this->render('upkeep/weeding/parting.html.twig', [
            'boxes' => $boxes,
            'many' => array_sum(array_map(\count(...), $boxes)),
            'fates' => Fate::cases(),
            'problem' => $problem,
        ]);
    }

    /** What is ticked is gone for good, or comes home after all. */
    #[Route('/upkeep/parting', name: 'part_with', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function part(Request $request, PartWith $part): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($part): Outcome {
            $fate = $input->choice('fate', Fate::class);
            $isBack = $input->isTicked('back');
            $input->check();
            $items = $this->items->several($input->list('items'), self::MOST);
            if ([] === $items) {
                throw StepRefused::nothingChosen();
            }
            $names = [];
            foreach ($items as $item) {
                $isBack ? $part->back($step, $item, $fate) : $part->gone($step, $item, $fate);
                $names[] = $item->name;
            }

            return Outcome::undoable($this->generateUrl('parting'), Counted::sentence($names, ($isBack ? 'home again' : $fate->gone()).'.'));
        }, $this->page(...));
    }
}
