<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\HttpFoundation\RequestStack;

/** Counts tries at short codes: five from one address, fifty from all, in ten minutes; a code has a million. */
final readonly class CodeThrottle
{
    private const MOST_FROM_HERE = 5;
    private const MOST = 50;

    public function __construct(private FailureCount $failures, private RequestStack $requests)
    {
    }

    public function mayTry(): bool
    {
        $here = $this->failures->count('code|'.($this->requests->getMainRequest()?->getClientIp() ?? 'unknown'));

        // Whoever is kept out here already keeps nobody else out.
        return $here <= self::MOST_FROM_HERE && $this->failures->count('code') <= self::MOST;
    }
}
