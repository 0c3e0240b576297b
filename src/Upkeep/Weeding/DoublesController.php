<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\RoomReading;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What the room has twice. */
final class DoublesController extends Page
{
    public function __construct(private readonly DoublesReading $reading, private readonly RoomReading $room)
    {
    }

    #[Route('/upkeep/doubles', name: 'doubles', methods: ['GET'])]
    public function page(?Problem $problem = null): Response
    {
        $pairs = $this->reading->pairs();
        $homes = array_merge([], ...array_map(static fn (DoublePair $pair): array => [$pair->one->homeId, $pair->other->homeId], $pairs));

        return $this->render('upkeep/weeding/doubles.html.twig', ['pairs' => $pairs, 'lit' => $this->room->lit($homes), 'problem' => $problem]);
    }

    #[Route('/upkeep/doubles', name: 'weed_doubles', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function weed(Request $request, WeedDoubles $weed): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($weed): Outcome {
            $keys = \array_slice($input->list('pair'), 0, DoublesReading::MOST);
            if ([] === $keys) {
                throw StepRefused::nothingChosen();
            }

            return Outcome::undoable($this->generateUrl('errand', ['id' => $weed($step, $keys)->id]), '');
        }, $this->page(...));
    }
}
