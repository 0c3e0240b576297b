<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerEvent;

/** A page that only reads lets go of the session's lock before its work, so that one person's pages do not queue. */
#[AsEventListener(priority: -100)]
final readonly class EndSessionEarly
{
    public function __invoke(ControllerEvent $event): void
    {
        $request = $event->getRequest();
        $writes = ['sign_in', 'go_on'];
        if ($event->isMainRequest() && $request->isMethodSafe() && !\in_array($request->attributes->get('_route'), $writes, true)
            && $request->hasSession() && $request->getSession()->isStarted()) {
            $request->getSession()->save();
        }
    }
}
