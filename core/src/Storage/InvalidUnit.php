<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

final class InvalidUnit extends \InvalidArgumentException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function rowsOutOfRange(int $least, int $most): self
    {
        return new self('rows', \sprintf('Give a whole number from %d to %d.', $least, $most));
    }

    public static function columnsOutOfRange(int $least, int $most): self
    {
        return new self('columns', \sprintf('Give a whole number from %d to %d.', $least, $most));
    }
}
