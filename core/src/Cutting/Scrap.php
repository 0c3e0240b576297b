<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Lab;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Outline;

/** A scrap as it is looked for: its size or outline, colour, weight and direction. Lengths as in Piece. */
final readonly class Scrap
{
    /**
     * @param Outline|null $outline where it is no rectangle; width and height are those of the box around it
     * @param float|null $grammage in g/m², where it is known
     */
    private function __construct(
        public string $id,
        public int $width,
        public int $height,
        public ?Outline $outline,
        public ?Lab $colour,
        public ?float $grammage,
        public Direction $direction,
    ) {
    }

    public static function rectangle(
        string $id,
        int $width,
        int $height,
        ?Lab $colour = null,
        ?float $grammage = null,
        Direction $direction = Direction::None,
    ): self {
        return new self($id, $width, $height, null, $colour, $grammage, $direction);
    }

    public static function outlined(
        string $id,
        Outline $outline,
        ?Lab $colour = null,
        ?float $grammage = null,
        Direction $direction = Direction::None,
    ): self {
        [, , $width, $height] = $outline->box();

        return new self($id, $width, $height, $outline, $colour, $grammage, $direction);
    }

    /** Returns twice its area. */
    public function doubledArea(): int
    {
        return $this->outline?->doubledArea() ?? 2 * $this->width * $this->height;
    }

    /** Whether a rectangle can lie wholly within it as it is. */
    public function holds(int $width, int $height): bool
    {
        return $width <= $this->width
            && $height <= $this->height
            && (null === $this->outline
                || (2 * $width * $height <= $this->doubledArea() && null !== (new OutlineFit($this->outline, $width, $height))->corner()));
    }
}
