<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Http\Authenticator\Passport\Credentials\PasswordCredentials;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;

/** A log-in that nobody has costs as much time as a wrong password, so that the time does not tell who works here. */
#[AsEventListener]
final readonly class SameTimeForStrangers
{
    public function __construct(private PasswordHasherFactoryInterface $hashers)
    {
    }

    public function __invoke(LoginFailureEvent $event): void
    {
        for ($cause = $event->getException(); null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof UserNotFoundException) {
                $credentials = $event->getPassport()?->getBadge(PasswordCredentials::class);
                $typed = $credentials instanceof PasswordCredentials && !$credentials->isResolved() ? $credentials->getPassword() : 'unknown';
                $this->hashers->getPasswordHasher(Account::class)->hash(substr($typed, 0, 200));

                return;
            }
        }
    }
}
