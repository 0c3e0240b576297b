<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Something that lies on a card: a mat, a panel, a strip, a frame with a window, a die-cut piece. Lengths in the unit of Sides. */
final readonly class Layer
{
    /**
     * @param int $id its number in the design, kept when it is moved
     * @param int|null $reveal of a mat or frame: how much of what it lies on is seen on each side
     * @param Sides|null $size of a panel, strip or die-cut piece
     * @param Sides|null $window of a frame, in its middle
     * @param int|null $x from the left edge of what it lies on, null in the middle
     * @param int|null $y from the upper edge of what it lies on, null in the middle
     * @param PaperChoice|null $paper null where nobody has said
     * @param int $spare how many more, or fewer, are cut than the design needs
     */
    public function __construct(
        public int $id,
        public string $name,
        public LayerKind $kind,
        public ?int $reveal = null,
        public ?Sides $size = null,
        public ?Sides $window = null,
        public ?int $x = null,
        public ?int $y = null,
        public bool $isOnFoam = false,
        public bool $isStamped = false,
        public ?PaperChoice $paper = null,
        public int $spare = 0,
    ) {
    }

    public static function mat(int $id, string $name, int $reveal, bool $isOnFoam = false): self
    {
        return new self($id, $name, LayerKind::Mat, reveal: $reveal, isOnFoam: $isOnFoam);
    }

    public static function panel(int $id, string $name, Sides $size, bool $isOnFoam = false): self
    {
        return new self($id, $name, LayerKind::Panel, size: $size, isOnFoam: $isOnFoam);
    }

    public static function strip(int $id, string $name, Sides $size, bool $isOnFoam = false): self
    {
        return new self($id, $name, LayerKind::Strip, size: $size, isOnFoam: $isOnFoam);
    }

    public static function frame(int $id, string $name, int $reveal, Sides $window, bool $isOnFoam = false): self
    {
        return new self($id, $name, LayerKind::Frame, reveal: $reveal, window: $window, isOnFoam: $isOnFoam);
    }

    public function of(?PaperChoice $paper): self
    {
        return $this->with(['paper' => $paper]);
    }

    public function sparing(int $spare): self
    {
        return $this->with(['spare' => $spare]);
    }

    /**
     * Returns it with some of its properties changed.
     *
     * @param array{id?: int, name?: string, kind?: LayerKind, reveal?: int|null, size?: Sides|null, window?: Sides|null, x?: int|null,
     *     y?: int|null, isOnFoam?: bool, isStamped?: bool, paper?: PaperChoice|null, spare?: int} $changed
     */
    public function with(array $changed): self
    {
        /** @var array{id: int, name: string, kind: LayerKind, reveal: int|null, size: Sides|null, window: Sides|null,
         *     x: int|null, y: int|null, isOnFoam: bool, isStamped: bool, paper: PaperChoice|null, spare: int} $all */
        $all = $changed + get_object_vars($this);

        return new self(...$all);
    }
}
