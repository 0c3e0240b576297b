<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\People\KeepPeople;
use App\People\Newcomer;
use App\People\OpenRoom;
use App\Security\Account;
use App\Security\Role;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\Unknown;
use App\Stores\Room;
use App\Stores\StoreReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What needs looking after: the lost and the not filed; how the room measures; and who may work here. */
final class UpkeepController extends Page
{
    public function __construct(private readonly StoreReading $stores, private readonly KeepPeople $people)
    {
    }

    #[Route('/upkeep', name: 'upkeep', methods: ['GET'])]
    public function index(): Response
    {
        return $this->show(null);
    }

    #[Route('/upkeep/room', name: 'describe_room', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describeRoom(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('room', 120, true);
            $measure = $input->choice('measure', LengthUnit::class);
            $zone = $input->timeZone('time_zone');
            $input->check();
            $rooms = $this->entities->getRepository(Room::class)->findBy([], ['id' => 'ASC']);
            foreach ($rooms as $index => $room) {
                [$room->measure, $room->timeZone] = [$measure, $zone];
                $room->name = 0 === $index ? $name : $room->name;
            }
            $this->entities->flush();
            $this->frame->reset();

            return Outcome::undoable($this->generateUrl('upkeep'), \sprintf('%s measures in %s, and its clock is that of %s.', $name, LengthUnit::Inch === $measure ? 'inches and ounces' : 'millimetres and grams', str_replace('_', ' ', $zone)));
        }, $this->show(...));
    }

    #[Route('/upkeep/people', name: 'add_helper', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function addHelper(Request $request, OpenRoom $open): Response
    {
        return $this->write($request, function (Input $input) use ($open): Outcome {
            $newcomer = new Newcomer($input->login('login'), $input->text('name', 120, true), $input->secret('password', 10));
            if ('' !== $newcomer->login && null !== $this->entities->getRepository(Account::class)->findOneBy(['login' => $newcomer->login])) {
                $input->refuse('login', 'Somebody has this log-in already.');
            }
            $input->check();
            $helper = $open->welcome($newcomer, Role::Helper);

            return Outcome::final($this->generateUrl('upkeep'), \sprintf('%s can sign in now, and pull, make and return.', $helper->name));
        }, $this->show(...));
    }

    #[Route('/upkeep/people/{id<[0-9]{1,9}>}/remove', name: 'remove_person', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function removePerson(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $person = $this->person($id);
            $this->people->remove($step, $person);

            return Outcome::final($this->generateUrl('upkeep'), \sprintf('%s works here no longer and cannot sign in. The log keeps the name.', $person->name));
        }, $this->show(...));
    }

    #[Route('/upkeep/people/{id<[0-9]{1,9}>}/end-sessions', name: 'end_sessions', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function endSessions(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $person = $this->person($id);
            $this->people->endSessions($person);

            return Outcome::final($this->generateUrl('upkeep'), \sprintf('%s is signed out everywhere.', $person->name));
        }, $this->show(...));
    }

    #[Route('/upkeep/password', name: 'change_password', methods: ['POST'])]
    public function changePassword(Request $request, Security $security): Response
    {
        $response = $this->write($request, function (Input $input): Outcome {
            $me = $this->person((int) $this->me()->id);
            $now = $input->secret('password_now', 1);
            $new = $input->secret('password_new', 10);
            if (!$this->people->fits($me, $now)) {
                $input->refuse('password_now', 'This is not your password.');
            }
            $input->check();
            $this->people->setPassword($me, $new);

            return Outcome::final($this->generateUrl('upkeep'), 'Your password is changed. Wherever else you were signed in, you are signed out.');
        }, $this->show(...));
        if ($response->isRedirect()) {
            $security->login($this->person((int) $this->me()->id), 'form_login', 'main');
        }

        return $response;
    }

    private function person(int $id): Account
    {
        $person = $this->entities->find(Account::class, $id);

        return null === $person || null !== $person->leftAt ? throw Unknown::person($id) : $person;
    }

    private function show(?Problem $problem): Response
    {
        return $this->render('upkeep/index.html.twig', [
            'lost' => $this->stores->lost(),
            'not_filed' => $this->stores->notFiled(),
            'people' => $this->entities->getRepository(Account::class)->findBy(['leftAt' => null], ['name' => 'ASC']),
            'zones' => \DateTimeZone::listIdentifiers(),
            'problem' => $problem,
        ]);
    }
}
