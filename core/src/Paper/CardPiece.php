<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** A piece to cut for a card, with where it is scored and the window that is cut out of it. */
final readonly class CardPiece
{
    /** @param list<Length> $scores */
    public function __construct(public string $name, public Size $size, public array $scores = [], public ?Size $window = null)
    {
    }
}
