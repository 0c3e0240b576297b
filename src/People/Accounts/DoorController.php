<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Security\UnfinishedForm;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\SaidAtTheDoor;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

/** Coming in: the first run, signing in, and going on with what was interrupted. */
final class DoorController extends Page
{
    #[Route('/sign-in', name: 'sign_in', methods: ['GET', 'POST'])]
    #[IsGranted('PUBLIC_ACCESS')]
    public function signIn(Request $request, AuthenticationUtils $authentication, OpenRoom $open): Response
    {
        if (!$open->isOpen()) {
            return $this->redirectToRoute('begin');
        }
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('home');
        }
        $error = $authentication->getLastAuthenticationError();

        return $this->render('people/accounts/sign_in.html.twig', [
            'error' => $error,
            'login' => $authentication->getLastUsername(),
            'said' => SaidAtTheDoor::once($request->getSession()),
            'unfinished' => null !== UnfinishedForm::waiting($request->getSession()),
        ], new Response(status: null === $error ? 200 : 422));
    }

    #[Route('/go-on', name: 'go_on', methods: ['GET'])]
    public function goOn(Request $request): Response
    {
        $form = UnfinishedForm::waiting($request->getSession());
        UnfinishedForm::forget($request->getSession());

        return null === $form ? $this->redirectToRoute('home') : $this->render('people/accounts/go_on.html.twig', ['form' => $form]);
    }

    #[Route('/begin', name: 'begin', methods: ['GET', 'POST'])]
    #[IsGranted('PUBLIC_ACCESS')]
    public function begin(Request $request, OpenRoom $open, Security $security): Response
    {
        if ($open->isOpen()) {
            return $this->redirectToRoute('sign_in');
        }
        if ($request->isMethodSafe()) {
            return $this->showBegin(null);
        }
        try {
            $input = $this->input($request);
            $newcomer = $this->newcomer($input);
            $room = $input->text('room', 120, true);
            $measure = $input->choice('measure', LengthUnit::class);
            $zone = $input->timeZone('time_zone');
            $input->check();
            $owner = $open($room, $measure, $zone, $newcomer);
        } catch (InvalidInput $exception) {
            return $this->showBegin(Problem::from($exception, $request, $this->measures->quantities()));
        } catch (RoomIsOpen) {
            return $this->redirectToRoute('sign_in', status: 303);
        }
        $security->login($owner, 'form_login', 'main');

        return $this->redirectToRoute('new_unit', ['first' => 1], 303);
    }

    private function showBegin(?Problem $problem): Response
    {
        return $this->render(
            'people/accounts/begin.html.twig',
            ['problem' => $problem, 'zones' => \DateTimeZone::listIdentifiers()],
            new Response(status: null === $problem ? 200 : 422),
        );
    }

    private function newcomer(Input $input): Newcomer
    {
        return new Newcomer($input->login('login'), $input->text('name', 120, true), $input->secret('password', 10));
    }
}
