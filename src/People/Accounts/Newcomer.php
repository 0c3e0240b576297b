<?php

declare(strict_types=1);

namespace App\People\Accounts;

final readonly class Newcomer
{
    public function __construct(public string $login, public string $name, #[\SensitiveParameter] public string $password, public bool $isChild = false)
    {
    }
}
