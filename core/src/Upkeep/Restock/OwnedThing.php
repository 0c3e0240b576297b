<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

use Lottel\Core\Colour\Srgb;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\DieShape;

/** A thing as it is held against another one of its kind before that is bought. */
final readonly class OwnedThing
{
    /**
     * @param Srgb|null $colour of what has one colour
     * @param CutSizes|null $cuts of a die; null where nobody has said, as of its shape
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $maker,
        public ?Srgb $colour = null,
        public ?CutSizes $cuts = null,
        public ?DieShape $shape = null,
    ) {
    }
}
