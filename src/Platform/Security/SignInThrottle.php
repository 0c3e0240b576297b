<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\EventDispatcher\EventSubscriberInterface;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Event\CheckPassportEvent;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/** Counts sign-ins before the password is looked at: five for a log-in from one address, fifty from an address, in ten minutes. */
final readonly class SignInThrottle implements EventSubscriberInterface
{
    private const MOST_FOR_LOGIN = 5;
    private const MOST_FOR_ADDRESS = 50;

    public function __construct(private FailureCount $failures, private RequestStack $requests)
    {
    }

    public static function getSubscribedEvents(): array
    {
        return [CheckPassportEvent::class => ['beforePassword', 2080], LoginSuccessEvent::class => 'onSuccess'];
    }

    public function beforePassword(CheckPassportEvent $event): void
    {
        $badge = $event->getPassport()->getBadge(UserBadge::class);
        if (!$badge instanceof UserBadge) {
            return;
        }
        $tries = $this->failures->count($this->loginSubject($badge->getUserIdentifier()));
        $triesFromHere = $this->failures->count($this->address());
        if ($tries > self::MOST_FOR_LOGIN || $triesFromHere > self::MOST_FOR_ADDRESS) {
            throw new TooManyLoginAttemptsAuthenticationException(intdiv(FailureCount::WINDOW_SECONDS, 60));
        }
    }

    public function onSuccess(LoginSuccessEvent $event): void
    {
        $badge = $event->getPassport()->getBadge(UserBadge::class);
        if ($badge instanceof UserBadge) {
            $this->failures->forget($this->loginSubject($badge->getUserIdentifier()));
        }
    }

    private function loginSubject(string $login): string
    {
        return mb_substr(mb_strtolower($login), 0, 60).'|'.$this->address();
    }

    private function address(): string
    {
        return $this->requests->getMainRequest()?->getClientIp() ?? 'unknown';
    }
}
