<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** Something that lies on a card: a mat, a panel, a strip, or a frame with a window. */
final readonly class Layer
{
    private function __construct(
        public string $name,
        public ?Length $reveal,
        public ?Size $size,
        public ?Size $window,
        public bool $isOnFoam,
        public bool $carriesNext,
    ) {
    }

    /** A mat as large as what it lies on, less a reveal on each side; the next layer lies on it. */
    public static function mat(string $name, Length $reveal, bool $isOnFoam = false): self
    {
        return new self($name, $reveal, null, null, $isOnFoam, true);
    }

    /** A panel of a size of its own; the next layer lies on it. */
    public static function panel(string $name, Size $size, bool $isOnFoam = false): self
    {
        return new self($name, null, $size, null, $isOnFoam, true);
    }

    /** A strip; the next layer lies on what the strip lies on. */
    public static function strip(string $name, Size $size, bool $isOnFoam = false): self
    {
        return new self($name, null, $size, null, $isOnFoam, false);
    }

    /** A frame with a window, as large as what it lies on, less a reveal. */
    public static function frame(string $name, Length $reveal, Size $window, bool $isOnFoam = false): self
    {
        return new self($name, $reveal, null, $window, $isOnFoam, true);
    }
}
