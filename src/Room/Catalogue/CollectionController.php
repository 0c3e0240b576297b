<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Collections: kept whole in one place, or broken up. */
final class CollectionController extends Page
{
    public function __construct(private readonly Collections $collections, private readonly RoomReading $room)
    {
    }

    #[Route('/stores/collections', name: 'collections', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $all = $this->collections->all();
        $things = array_merge([], ...array_values($all));

        return $this->render('room/catalogue/collections.html.twig', [
            'collections' => $all,
            'lit' => $this->room->lit(array_map(static fn (ThingLine $line): ?int => $line->homeId, $things)),
            'problem' => $problem,
        ]);
    }

    #[Route('/stores/collections/together', name: 'keep_together', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function together(Request $request, Places $places): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($places): Outcome {
            $name = $input->text('collection', 120, true);
            $home = $places->required($input, 'address');
            $many = $this->collections->keepTogether($step, $name, $home);

            return Outcome::undoable(
                $this->generateUrl('collections'),
                \sprintf('“%s”, %s, %s in %s from now on.', $name, Counted::of($many, 'thing'), Counted::verb($many, 'lives', 'live'), $home->address),
            );
        }, $this->index(...));
    }

    #[Route('/stores/collections/broken-up', name: 'break_up', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function breakUp(Request $request): Response
    {
        return $this->write($request, function (Input $input, Step $step): Outcome {
            $name = $input->text('collection', 120, true);
            $input->check();
            $many = $this->collections->breakUp($step, $name);

            return Outcome::undoable(
                $this->generateUrl('queue'),
                \sprintf('“%s” is broken up: %s for homes of their own.', $name, Counted::of($many, 'thing waits', 'things wait')),
            );
        }, $this->index(...));
    }
}
