<?php

declare(strict_types=1);

namespace App\Upkeep\Chores;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What comes round, and that it was done. */
final class ChoreController extends Page
{
    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/upkeep/chores', name: 'chores', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        return $this->render('upkeep/chores/chores.html.twig', [
            'chores' => $this->entities->getRepository(Chore::class)->findAll(), 'today' => $this->roomClock->today(), 'problem' => $problem,
        ]);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/chore', name: 'add_chore', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function add(Request $request, int $id, Items $items): Response
    {
        return $this->write($request, function (Input $input) use ($id, $items): Outcome {
            $name = $input->text('name', 60, true);
            $every = $input->whole('every', 1, 3650);
            $input->check();
            $this->entities->persist(new Chore($items->one($id), $name, $every, $this->day()));

            return Outcome::undoable($this->generateUrl('chores'), \sprintf('“%s” comes round every %d days.', $name, $every));
        }, $this->index(...));
    }

    #[Route('/upkeep/chores/{id<[0-9]{1,12}>}/done', name: 'chore_done', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function done(Request $request, int $id): Response
    {
        return $this->write($request, function () use ($id): Outcome {
            $chore = $this->entities->find(Chore::class, $id) ?? throw Unknown::line($id);
            $chore->done($this->day());

            return Outcome::undoable($this->generateUrl('chores'), \sprintf('“%s” is done.', $chore->name));
        }, $this->index(...));
    }

    private function day(): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->roomClock->today()->format('Y-m-d'));
    }
}
