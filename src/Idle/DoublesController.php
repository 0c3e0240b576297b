<?php

declare(strict_types=1);

namespace App\Idle;

use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Stores\RoomReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
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

        return $this->render('idle/doubles.html.twig', ['pairs' => $pairs, 'lit' => $this->room->lit($homes), 'problem' => $problem]);
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
