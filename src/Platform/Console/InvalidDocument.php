<?php

declare(strict_types=1);

namespace App\Platform\Console;

/** What is wrong in a document, and where: `pieces[2].w`; the empty path is the whole document. */
final class InvalidDocument extends \RuntimeException
{
    public function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }
}
