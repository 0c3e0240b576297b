<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Cuts a set of pieces from a rectangle so that the largest offcut that can be is left. From the rectangle down to the
 * offcut each cut takes off a part that holds some of the pieces, as tightly as they can lie, and of two such cuts one after
 * the other one is along x and one along y; all such ways are looked at, but for those that cannot leave more any longer.
 *
 * The largest there is where the trimmer has no limits and $isExact stays true.
 */
final class RoomyCut
{
    /** False once so many ways were looked at that the rest was left out. */
    public bool $isExact = true;

    private int $work = 0;

    private int $room = 0;

    /** @var list<array{bool, int, array{int, int}}> */
    private array $steps = [];

    /** @var array<string, true> */
    private array $seen = [];

    public function __construct(private readonly Blocks $blocks, private readonly Trimmer $trimmer, private readonly int $mostWork = 400_000)
    {
    }

    /** Returns the cut rectangle, or null where no offcut larger than an area can be left. */
    public function cut(int $set, int $width, int $height, int $largerThan): ?SheetPart
    {
        $this->room = $largerThan;
        $this->steps = $this->seen = [];
        $this->dive($set, $width, $height, null, []);

        return $this->room > $largerThan ? $this->carved($width, $height, $largerThan) : null;
    }

    /** @param list<array{bool, int, array{int, int}}> $steps the cuts made: along x, the set taken off, its block */
    private function dive(int $set, int $width, int $height, ?bool $last, array $steps): void
    {
        $area = $width * $height;
        if (0 === $set) {
            if ($area > $this->room) {
                $this->room = $area;
                $this->steps = $steps;
            }

            return;
        }
        $key = $set.'/'.$width.'/'.$height.'/'.(null === $last ? '' : ($last ? 'x' : 'y'));
        if ($area - $this->blocks->sets->areaOf($set) <= $this->room || isset($this->seen[$key])) {
            return;
        }
        $this->seen[$key] = true;
        foreach ([$set, ...$this->blocks->sets->partsOf($set)] as $one) {
            if (++$this->work > $this->mostWork) {
                $this->isExact = false;

                return;
            }
            if (true !== $last) {
                $block = $this->blocks->narrowest($one, $height);
                if (null !== $block && ($width - $block[0]) * $height > $this->room && $this->trimmer->allows($height, $block[0], $width - $block[0])) {
                    $this->dive($set - $one, $width - $block[0], $height, true, [...$steps, [true, $one, $block]]);
                }
            }
            if (false !== $last) {
                $block = $this->blocks->lowest($one, $width);
                if (null !== $block && ($height - $block[1]) * $width > $this->room && $this->trimmer->allows($width, $block[1], $height - $block[1])) {
                    $this->dive($set - $one, $width, $height - $block[1], false, [...$steps, [false, $one, $block]]);
                }
            }
        }
    }

    private function carved(int $width, int $height, int $largerThan): ?SheetPart
    {
        $root = $part = new SheetPart(0, 0, $width, $height);
        foreach ($this->steps as [$alongX, $set, $block]) {
            $first = $part->cut($alongX, $alongX ? $block[0] : $block[1]);
            if (null === $part->second || !$this->blocks->carve($first, $set, $block[0], $block[1], $alongX)) {
                return null;
            }
            $part = $part->second;
        }

        return $root->largestOffcut() > $largerThan ? $root : null;
    }
}
