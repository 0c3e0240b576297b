<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

/** How far a task of an errand has come; one that was looked for in vain is missed, one that nobody wants to do is left. */
enum TaskState: string
{
    case Open = 'open';
    case Carried = 'carried';
    case Done = 'done';
    case Missed = 'missed';
    case Left = 'left';

    public function isOver(): bool
    {
        return self::Open !== $this && self::Carried !== $this;
    }
}
