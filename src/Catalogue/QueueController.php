<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\Unknown;
use App\Stores\StoreReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The things that have no home yet, and those that have been new for long enough. */
final class QueueController extends Page
{
    public function __construct(private readonly HomeReading $homes, private readonly StoreReading $stores, private readonly WarnOfReach $warn)
    {
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
        return $this->write($request, function (Input $input, Step $step) use ($homes): Outcome {
            $item = $this->item($input->id('item'));
            $place = $this->storage($input, 'address');
            if (null === $place) {
                $input->refuse('address', 'Type the address of its place, such as C3.');
            }
            $input->check();
            \assert(null !== $place);
            $homes->giveHome($step, $item, $place);

            return Outcome::undoable($this->generateUrl('queue'), trim(\sprintf('%s is at home in %s now. %s', $item->name, $place->address, $this->warn->ofHome($item) ?? '')));
        }, $this->show(...));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/homes', name: 'homes_for', methods: ['GET'])]
    public function homesFor(int $id): Response
    {
        $item = $this->stores->item($id) ?? throw Unknown::item($id);

        return $this->render('catalogue/queue.html.twig', ['without' => [], 'new' => [], 'one' => $item + ['proposals' => $this->homes->proposals($item)], 'problem' => null]);
    }

    private function show(?Problem $problem): Response
    {
        $withProposals = fn (array $item): array => $item + ['proposals' => $this->homes->proposals($item)];
        $without = array_map($withProposals, $this->homes->withoutHome());
        $new = array_map($withProposals, $this->homes->toBeFiled());

        return $this->render('catalogue/queue.html.twig', ['without' => $without, 'new' => $new, 'one' => null, 'problem' => $problem]);
    }
}
