<?php

declare(strict_types=1);

namespace App\Kits\Design;

/** What die-cuts a piece of a design. */
final readonly class CutBy
{
    /**
     * @param list<DieThatCuts> $exact dies that cut its size, give or take a sixteenth
     * @param list<DieThatCuts> $near where none does: those that come nearest
     * @param int $unsaid how many dies of the room do not say what they cut
     */
    public function __construct(public array $exact, public array $near, public int $unsaid)
    {
    }
}
