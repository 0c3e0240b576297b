<?php

declare(strict_types=1);

namespace App\Controller;

use App\Entity\Account;
use App\Entity\Role;
use App\Reading\StoreReading;
use App\Service\Outcome;
use App\Service\People\Newcomer;
use App\Service\People\OpenRoom;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What needs looking after: the lost, the not filed, the overdue; and who may work here. */
final class UpkeepController extends Page
{
    public function __construct(private readonly StoreReading $stores)
    {
    }

    #[Route('/upkeep', name: 'upkeep', methods: ['GET'])]
    public function index(): Response
    {
        return $this->show(null);
    }

    #[Route('/upkeep/people', name: 'add_helper', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function addHelper(Request $request, OpenRoom $open): Response
    {
        return $this->write($request, function (Input $input) use ($open): Outcome {
            $newcomer = new Newcomer($input->text('login', 60, true), $input->text('name', 120, true), $input->secret('password', 10));
            if ('' !== $newcomer->login && null !== $this->entities->getRepository(Account::class)->findOneBy(['login' => $newcomer->login])) {
                $input->refuse('login', 'Somebody has this log-in already.');
            }
            $input->check();
            $helper = $open->welcome($newcomer, Role::Helper);

            return Outcome::final($this->generateUrl('upkeep'), \sprintf('%s can sign in now, and pull, make and return.', $helper->name));
        }, $this->show(...));
    }

    private function show(?Problem $problem): Response
    {
        return $this->render('upkeep/index.html.twig', [
            'lost' => $this->stores->lost(),
            'not_filed' => $this->stores->notFiled(),
            'people' => $this->entities->getRepository(Account::class)->findBy([], ['name' => 'ASC']),
            'problem' => $problem,
        ]);
    }
}
