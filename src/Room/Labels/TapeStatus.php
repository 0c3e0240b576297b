<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\Tape;

/** How a tape printer stands: which tape is in it, how much is left in tenths of a millimetre, and what was printed last. */
final readonly class TapeStatus
{
    /** @param list<array{text: string, svg: string, at: string}> $last the newest first */
    public function __construct(public Tape $tape, public int $left, public bool $isJammed, public array $last)
    {
    }
}
