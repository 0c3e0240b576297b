<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** Every write must come from a page of this very origin: the browser says so in Sec-Fetch-Site, older ones in Origin or Referer. */
#[AsEventListener(priority: 16)]
final readonly class OwnFormsOnly
{
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        $site = $request->headers->get('Sec-Fetch-Site');
        $own =
            null !== $site
                ? 'same-origin' === $site
                : $this->isOwn($request->headers->get('Origin') ?? $request->headers->get('Referer'), $request->getSchemeAndHttpHost());
        if (!$own) {
            throw new AccessDeniedHttpException('This form did not come from a page of this room. Open the page again and send it from there.');
        }
    }

    private function isOwn(?string $sender, string $origin): bool
    {
        return null !== $sender && ($sender === $origin || str_starts_with($sender, $origin.'/'));
    }
}
