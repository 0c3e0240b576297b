<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use App\Platform\Security\Account;

/** One thing that a person does: who, when, and the id of the request, by which it is done once. */
final readonly class Step
{
    public function __construct(public string $requestId, public Account $who, public \DateTimeImmutable $at)
    {
    }
}
