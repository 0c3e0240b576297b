<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Cutting\Crease;
use Lottel\Core\Paper\PaperSize;

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
     * Returns what the usual page of eight pockets takes: four 4 × 6 and four 3 × 4 in (common practice, no source).
     *
     * @return list<self>
     */
    public static function usualPockets(): array
    {
        return [
            new self(1, 'pocket card', Sides::of(PaperSize::Pocket4By6->size()), 4),
            new self(2, 'pocket card', Sides::of(PaperSize::Pocket3By4->size()), 4),
        ];
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
