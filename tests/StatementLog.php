<?php

declare(strict_types=1);

namespace App\Tests;

use Psr\Log\AbstractLogger;

/** Remembers what is asked of the database, so that a test can count it. */
final class StatementLog extends AbstractLogger
{
    /** @var list<string> */
    public array $statements = [];

    /** @param array<mixed> $context */
    public function log(mixed $level, string|\Stringable $message, array $context = []): void
    {
        if (\is_string($context['sql'] ?? null)) {
            $this->statements[] = $context['sql'];
        }
    }
}
