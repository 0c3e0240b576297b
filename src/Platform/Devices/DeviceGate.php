<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Lan\LanFiles;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Where a room is served to the workroom, only devices that were let in come as far as its sign-in. */
#[AsEventListener(priority: 40)]
final readonly class DeviceGate
{
    /** What a device may see before it is let in: how it comes in, and calendars, whose addresses are secrets of their own. */
    private const OPEN = '~^/(?:device|trust|trust/lottel-authority\.crt|calendar/[0-9]+-[^/]+|app\.webmanifest)$~D';

    public function __construct(private Devices $devices, private UrlGeneratorInterface $urls, private bool $isLan, private string $cookie)
    {
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$this->isLan || !$event->isMainRequest() || 1 === preg_match(self::OPEN, $request->getPathInfo())) {
            return;
        }
        $token = $request->cookies->get($this->cookieName());
        $isIn = \is_string($token) && $this->devices->isLetIn($token);
        if (LanFiles::ASKS === $request->getPathInfo()) {
            $event->setResponse(new Response('', $isIn ? 204 : 403));
        } elseif (!$isIn) {
            $event->setResponse($this->toDoor($request));
        }
    }

    public function cookieName(): string
    {
        return $this->cookie.'_device';
    }

    private function toDoor(Request $request): Response
    {
        $door = $this->urls->generate('let_in');

        return $request->headers->has('HX-Request') ? new Response('', 200, ['HX-Redirect' => $door]) : new RedirectResponse($door, 303);
    }
}
