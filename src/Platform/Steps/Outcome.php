<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** Where to go on after a step, what to tell the person, and whether the step can be undone. */
final readonly class Outcome
{
    private function __construct(public string $goTo, public string $said, public bool $isUndoable)
    {
    }

    /** A step that can be undone as a whole: all that it changed goes back. */
    public static function undoable(string $goTo, string $said): self
    {
        return new self($goTo, $said, true);
    }

    /** A step of which something cannot be taken back, such as what was printed, or an undo itself. */
    public static function final(string $goTo, string $said): self
    {
        return new self($goTo, $said, false);
    }
}
