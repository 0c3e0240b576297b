<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Something on a page, with the mats behind it. Lengths in the unit of Sides. */
final readonly class Block
{
    /**
     * @param int $id its number in the design, kept when it is moved
     * @param Rect $at what it holds, without its mats; measured from the left upper corner of the page, or of the left page of two
     * @param list<Mat> $mats from the one right behind it outwards
     * @param PaperChoice|null $paper of a block that is cut itself; null where nobody has said
     * @param int $spare how many more, or fewer, are cut than the design needs
     */
    public function __construct(
        public int $id,
        public string $name,
        public BlockKind $kind,
        public Rect $at,
        public array $mats = [],
        public ?PaperChoice $paper = null,
        public int $spare = 0,
    ) {
    }

    /** Returns the place that it takes with its mats. */
    public function outer(): Rect
    {
        return $this->at->grown(array_sum(array_map(static fn (Mat $mat): int => $mat->reveal, $this->mats)));
    }

    /** @return list<array{Rect, Mat}> its mats as they lie, the outermost first */
    public function matsAt(): array
    {
        $placed = [];
        $at = $this->at;
        foreach ($this->mats as $mat) {
            $at = $at->grown($mat->reveal);
            array_unshift($placed, [$at, $mat]);
        }

        return $placed;
    }

    /** Returns it with the left upper corner of what it takes at another spot. */
    public function outerAt(int $x, int $y): self
    {
        $outer = $this->outer();

        return $this->moved($x - $outer->x, $y - $outer->y);
    }

    /** Returns it pushed by so much, its left upper corner on a grid, and no further than the edges of what it lies on. */
    public function pushed(int $right, int $down, int $grid, Rect $ground): self
    {
        $outer = $this->outer();
        $x = (int) round(($outer->x + $right) / $grid) * $grid;
        $y = (int) round(($outer->y + $down) / $grid) * $grid;

        return $this->outerAt(
            max($ground->x, min($x, $ground->right() - $outer->width)),
            max($ground->y, min($y, $ground->bottom() - $outer->height)),
        );
    }

    public function moved(int $right, int $down): self
    {
        return $this->with(['at' => $this->at->moved($right, $down)]);
    }

    /**
     * Returns it with some of its properties changed.
     *
     * @param array{id?: int, name?: string, kind?: BlockKind, at?: Rect, mats?: list<Mat>, paper?: PaperChoice|null, spare?: int} $changed
     */
    public function with(array $changed): self
    {
        /** @var array{id: int, name: string, kind: BlockKind, at: Rect, mats: list<Mat>, paper: PaperChoice|null, spare: int} $all */
        $all = $changed + get_object_vars($this);

        return new self(...$all);
    }
}
