<?php

declare(strict_types=1);

namespace App\Platform\Web;

final class InvalidInput extends \RuntimeException
{
    /** @param array<string, string> $errors message by field */
    public function __construct(public readonly array $errors)
    {
        parent::__construct('Some of what you typed needs another look.');
    }
}
