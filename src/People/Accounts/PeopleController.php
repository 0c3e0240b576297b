<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Security\Role;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who may work here, and how the room measures. */
final class PeopleController extends Page
{
    public function __construct(private readonly People $people, private readonly KeepPeople $keep)
    {
    }

    #[Route('/upkeep/people', name: 'people', methods: ['GET'])]
    public function index(): Response
    {
        return $this->showPeople(null);
    }

    #[Route('/upkeep/room', name: 'describe_room', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describeRoom(Request $request, DescribeRoom $describe): Response
    {
        return $this->write($request, function (Input $input) use ($describe): Outcome {
            $name = $input->text('room', 120, true);
            $measure = $input->choice('measure', LengthUnit::class);
            $zone = $input->timeZone('time_zone');
            $input->check();
            $describe($name, $measure, $zone);
            $units = LengthUnit::Inch === $measure ? 'inches and ounces' : 'millimetres and grams';

            return $this->undoable(\sprintf('%s measures in %s, and its clock is that of %s.', $name, $units, str_replace('_', ' ', $zone)));
        }, $this->showPeople(...));
    }

    #[Route('/upkeep/people', name: 'add_helper', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function addHelper(Request $request, OpenRoom $open): Response
    {
        return $this->write($request, function (Input $input) use ($open): Outcome {
            $newcomer = new Newcomer($input->login('login'), $input->text('name', 120, true), $input->secret('password', 10), $input->isTicked('child'));
            if ('' !== $newcomer->login && null !== $this->people->named($newcomer->login)) {
                $input->refuse('login', 'Somebody has this log-in already.');
            }
            $input->check();
            $helper = $open->welcome($newcomer, Role::Helper);

            return $this->final(\sprintf('%s can sign in now, and pull, make and return.', $helper->name));
        }, $this->showPeople(...));
    }

    #[Route('/upkeep/people/{id<[0-9]{1,9}>}/remove', name: 'remove_person', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function removePerson(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $person = $this->people->one($id);
            $this->keep->remove($step, $person);

            return $this->final(\sprintf('%s works here no longer and cannot sign in. The log keeps the name.', $person->name));
        }, $this->showPeople(...));
    }

    /** A helper is a child, or has grown up. */
    #[Route('/upkeep/people/{id<[0-9]{1,9}>}/child', name: 'mark_child', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function markChild(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $person = $this->people->one($id);
            $this->keep->markChild($person, $input->isTicked('child'));

            return $this->final(\sprintf($person->isChild ? '%s is a child: cautions say so.' : '%s is grown up.', $person->name));
        }, $this->showPeople(...));
    }

    #[Route('/upkeep/people/{id<[0-9]{1,9}>}/end-sessions', name: 'end_sessions', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function endSessions(Request $request, int $id): Response
    {
        return $this->write($request, function () use ($id): Outcome {
            $person = $this->people->one($id);
            $this->keep->endSessions($person);

            return $this->final(\sprintf('%s is signed out everywhere.', $person->name));
        }, $this->showPeople(...));
    }

    #[Route('/upkeep/password', name: 'change_password', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function changePassword(Request $request, Security $security): Response
    {
        $response = $this->write($request, function (Input $input): Outcome {
            $me = $this->people->one((int) $this->me()->id);
            $now = $input->secret('password_now', 1);
            $new = $input->secret('password_new', 10);
            if (!$this->keep->fits($me, $now)) {
                $input->refuse('password_now', 'This is not your password.');
            }
            $input->check();
            $this->keep->setPassword($me, $new);

            return $this->final('Your password is changed. Wherever else you were signed in, you are signed out.');
        }, $this->showPeople(...));
        if ($response->isRedirect()) {
            $security->login($this->people->one((int) $this->me()->id), 'form_login', 'main');
        }

        return $response;
    }

    private function final(string $said): Outcome
    {
        return Outcome::final($this->generateUrl('people'), $said);
    }

    private function undoable(string $said): Outcome
    {
        return Outcome::undoable($this->generateUrl('people'), $said);
    }

    private function showPeople(?Problem $problem): Response
    {
        return $this->render('people/accounts/people.html.twig', [
            'people' => $this->people->all(),
            'zones' => \DateTimeZone::listIdentifiers(),
            'problem' => $problem,
        ]);
    }
}
