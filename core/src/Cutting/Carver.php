<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Cuts a region out of a part, the waste first, if the trimmer can do it. */
final readonly class Carver
{
    public function __construct(private Trimmer $trimmer)
    {
    }

    /**
     * Cuts the part down to a size at its left upper corner and returns that corner part; null where no order of the cuts is
     * possible. Of two possible orders the one that leaves the larger offcut is taken, unless $alongXFirst says which.
     */
    public function trim(SheetPart $part, int $width, int $height, ?bool $alongXFirst = null): ?SheetPart
    {
        if ($width > $part->width || $height > $part->height) {
            return null;
        }
        if ($width === $part->width && $height === $part->height) {
            return $part;
        }
        $across = $part->width - $width;
        $down = $part->height - $height;
        if (0 === $across || 0 === $down) {
            return $this->once($part, 0 === $down, 0 === $down ? $width : $height);
        }
        $alongXFirst ??= max($across * $part->height, $width * $down) >= max($part->width * $down, $across * $height);
        foreach ([$alongXFirst, !$alongXFirst] as $alongX) {
            if ($this->canTwice($part, $width, $height, $alongX)) {
                return $part->cut($alongX, $alongX ? $width : $height)->cut(!$alongX, $alongX ? $height : $width);
            }
        }

        return null;
    }

    /** Whether a part could be trimmed to a size. */
    public function canTrim(SheetPart $part, int $width, int $height): bool
    {
        if ($width > $part->width || $height > $part->height) {
            return false;
        }
        if ($width === $part->width) {
            return $height === $part->height || $this->trimmer->allows($part->width, $height, $part->height - $height);
        }
        if ($height === $part->height) {
            return $this->trimmer->allows($part->height, $width, $part->width - $width);
        }

        return $this->canTwice($part, $width, $height, true) || $this->canTwice($part, $width, $height, false);
    }

    /** Cuts once; null where the trimmer cannot. */
    public function once(SheetPart $part, bool $alongX, int $at): ?SheetPart
    {
        $allowed = $alongX ? $this->trimmer->allows($part->height, $at, $part->width - $at) : $this->trimmer->allows($part->width, $at, $part->height - $at);

        return $allowed ? $part->cut($alongX, $at) : null;
    }

    private function canTwice(SheetPart $part, int $width, int $height, bool $alongXFirst): bool
    {
        return $alongXFirst
            ? $this->trimmer->allows($part->height, $width, $part->width - $width) && $this->trimmer->allows($width, $height, $part->height - $height)
            : $this->trimmer->allows($part->width, $height, $part->height - $height) && $this->trimmer->allows($height, $width, $part->width - $width);
    }
}
