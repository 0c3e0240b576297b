<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\Places;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The things that have no home yet, and those that have been new for long enough. */
final class QueueController extends Page
{
    public function __construct(
        private readonly HomeReading $homes,
        private readonly Places $places,
        private readonly Items $items,
        private readonly WarnOfReach $warn,
    ) {
    }

    #[Route('/stores/queue', name: 'queue', methods: ['GET'])]
    public function index(): Response
    {
        return $this->show(null);
    }

    #[Route('/stores/queue', name: 'file_thing', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function fileThing(Request $request, KeepHomes $homes): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($homes): Outcome {
                $item = $this->items->one($input->id('item'));
                $place = $this->places->required($input, 'address');
                $homes->giveHome($step, $item, $place);

                return Outcome::undoable(
                    $this->generateUrl('queue'),
                    trim(\sprintf('%s is at home in %s now. %s', $item->name, $place->address, $this->warn->ofHome($item) ?? '')),
                );
            },
            $this->show(...),
        );
    }

    #[Route('/items/{id<[0-9]{1,12}>}/homes', name: 'homes_for', methods: ['GET'])]
    public function homesFor(int $id, ItemReading $reading): Response
    {
        $one = $this->homes->forItem($reading->inCatalogue($id));

        return $this->render('room/catalogue/queue.html.twig', ['without' => [], 'new' => [], 'one' => $one, 'problem' => null]);
    }

    private function show(?Problem $problem): Response
    {
        return $this->render('room/catalogue/queue.html.twig', [
            'without' => $this->homes->withoutHome(),
            'new' => $this->homes->toBeFiled(),
            'one' => null,
            'problem' => $problem,
        ]);
    }
}
