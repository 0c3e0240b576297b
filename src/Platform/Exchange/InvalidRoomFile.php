<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

/** A room's file that cannot be read: the path of what is wrong, and a message that tells a person why. */
final class InvalidRoomFile extends \RuntimeException
{
    public function __construct(public readonly string $field, string $message, ?\Throwable $previous = null)
    {
        parent::__construct($message, 0, $previous);
    }
}
