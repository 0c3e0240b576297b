<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Cutting\Crease;

/** A piece of a design that is a list: so many of it for each that is made. */
final readonly class ListedPiece
{
    /**
     * @param Sides $size as it lies flat
     * @param list<Crease> $creases
     */
    public function __construct(
        public int $id,
        public string $name,
        public Sides $size,
        public int $each = 1,
        public array $creases = [],
        public ?PaperChoice $paper = null,
        public int $spare = 0,
    ) {
    }

    /**
     * Returns it with some of its properties changed.
     *
     * @param array{id?: int, name?: string, size?: Sides, each?: int, creases?: list<Crease>, paper?: PaperChoice|null, spare?: int} $changed
     */
    public function with(array $changed): self
    {
        /** @var array{id: int, name: string, size: Sides, each: int, creases: list<Crease>, paper: PaperChoice|null, spare: int} $all */
        $all = $changed + get_object_vars($this);

        return new self(...$all);
    }
}
