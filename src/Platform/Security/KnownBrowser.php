<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\EventSubscriberInterface;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/** A browser in which somebody has signed in before carries a mark that strangers cannot make. */
final readonly class KnownBrowser implements EventSubscriberInterface
{
    private const DAYS = 60;
    private const MARK = '_is_signing_in';

    public function __construct(
        private ClockInterface $clock,
        #[Autowire('%kernel.secret%')]
        #[\SensitiveParameter]
        private string $secret,
        private string $cookie,
    ) {
    }

    public static function getSubscribedEvents(): array
    {
        return [LoginSuccessEvent::class => 'onSuccess', KernelEvents::RESPONSE => 'onResponse'];
    }

    public function isKnown(Request $request): bool
    {
        [$until, $mark] = explode('.', (string) $request->cookies->get($this->cookieName(), '')) + ['', ''];

        return ctype_digit($until) && (int) $until >= $this->clock->now()->getTimestamp() && hash_equals($this->mark($until), $mark);
    }

    public function onSuccess(LoginSuccessEvent $event): void
    {
        $event->getRequest()->attributes->set(self::MARK, true);
    }

    public function onResponse(ResponseEvent $event): void
    {
        if (true !== $event->getRequest()->attributes->get(self::MARK)) {
            return;
        }
        $until = $this->clock->now()->getTimestamp() + self::DAYS * 86_400;
        $event
            ->getResponse()
            ->headers->setCookie(
                Cookie::create(
                    $this->cookieName(),
                    $until.'.'.$this->mark((string) $until),
                    $until,
                    secure: $event->getRequest()->isSecure(),
                    sameSite: Cookie::SAMESITE_LAX,
                ),
            );
    }

    public function cookieName(): string
    {
        return $this->cookie.'_known';
    }

    private function mark(string $until): string
    {
        return hash_hmac('sha256', 'known until '.$until, $this->secret);
    }
}
