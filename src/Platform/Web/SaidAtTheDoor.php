<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\HttpFoundation\Session\SessionInterface;

/** What is told once on the page of the sign-in to somebody who had to leave the room. */
final class SaidAtTheDoor
{
    private const KEY = 'said at the door';

    public static function say(SessionInterface $session, string $said): void
    {
        $session->set(self::KEY, $said);
    }

    public static function once(SessionInterface $session): string
    {
        $said = $session->remove(self::KEY);

        return \is_string($said) ? $said : '';
    }
}
