<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Security\CodeThrottle;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A device that nobody has let in yet types the short code that an owner sees. */
final class LetInController extends Page
{
    private const DAYS = 400;

    #[Route('/device', name: 'let_in', methods: ['GET', 'POST'])]
    #[IsGranted('PUBLIC_ACCESS')]
    public function index(Request $request, Devices $devices, DeviceGate $gate, CodeThrottle $throttle, ClockInterface $clock): Response
    {
        if ($request->isMethodSafe()) {
            return $this->show(null);
        }
        $input = $this->input($request);
        try {
            $name = $input->text('name', 60, true);
            $code = $input->text('code', 20, true);
            $input->check();
            if (!$throttle->mayTry()) {
                $input->refuse('code', 'Too many tries from here. Wait ten minutes, then take a new code.');
            }
            $input->check();
            $token = $devices->letIn($code, $name);
            if (null === $token) {
                $input->refuse('code', 'This is no code, or its ten minutes are over. Take a new one.');
            }
            $input->check();
        } catch (InvalidInput $invalid) {
            return $this->show(Problem::from($invalid, $request, $this->measures->quantities()));
        }
        $response = $this->redirectToRoute('sign_in', status: 303);
        $ends = $clock->now()->getTimestamp() + self::DAYS * 86_400;
        $response->headers->setCookie(Cookie::create($gate->cookieName(), $token, $ends, secure: $request->isSecure(), sameSite: Cookie::SAMESITE_LAX));

        return $response;
    }

    private function show(?Problem $problem): Response
    {
        return $this->render('platform/devices/let_in.html.twig', ['problem' => $problem], new Response(status: null === $problem ? 200 : 422));
    }
}
