<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * The drawing of how a sheet is cut, with its dimensions: rectangles, numbered cuts, and the lines that say how long something is.
 * All in ticks from the sheet's left upper corner.
 */
final readonly class SheetPlan
{
    /**
     * @param list<array{x: int, y: int, part: WorkPart}> $parts that are not cut further
     * @param list<array{x: int, y: int, length: int, isUpright: bool, number: int}> $cuts in the order in which they are made
     */
    private function __construct(public int $width, public int $height, public array $parts, public array $cuts)
    {
    }

    public static function of(WorkPart $root): self
    {
        $parts = $cuts = [];
        /** @var list<array{int, int, WorkPart}> $open */
        $open = [[0, 0, $root]];
        while ([] !== $open) {
            [$x, $y, $part] = array_shift($open);
            if (null === $part->first || null === $part->second) {
                $parts[] = ['x' => $x, 'y' => $y, 'part' => $part];
                continue;
            }
            $alongX = $part->isCutAlongX;
            [$right, $down] = [$alongX ? $x + $part->first->width : $x, $alongX ? $y : $y + $part->first->height];
            $cuts[] = ['x' => $right, 'y' => $down, 'length' => $alongX ? $part->height : $part->width, 'isUpright' => $alongX, 'number' => \count($cuts) + 1];
            array_push($open, [$x, $y, $part->first], [$right, $down, $part->second]);
        }

        return new self($root->width, $root->height, $parts, $cuts);
    }
}
