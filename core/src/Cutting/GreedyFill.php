<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Fills one piece of stock: the pieces in a given order, each into the free part that it fits best. */
final class GreedyFill
{
    private const WORK_OF_A_START = 10;
    private const WORK_OF_A_PLACING = 12;

    /** How much was done, in fits looked at; the planner's budget is counted in them. */
    public int $work = 0;

    private readonly Carver $carver;

    /** @param list<Piece> $pieces */
    public function __construct(private readonly array $pieces, Trimmer $trimmer)
    {
        $this->carver = new Carver($trimmer);
    }

    /**
     * Returns the cut stock, or null where nothing fits.
     *
     * @param list<int> $order indexes of pieces
     * @param array<int, int> $remaining how many of each may still be cut
     */
    public function fill(Stock $stock, array $order, array $remaining, Filling $how): ?SheetPart
    {
        $this->work += self::WORK_OF_A_START;
        $root = new SheetPart(0, 0, $stock->width, $stock->height);
        $free = [$root];
        $placed = 0;
        foreach ($order as $index) {
            for ($left = $remaining[$index] ?? 0; $left > 0; --$left) {
                $spot = $this->bestSpot($free, $this->pieces[$index], $how);
                if (null === $spot) {
                    break;
                }
                $free = $this->place($free, $spot, $index, $how);
                ++$placed;
            }
        }

        return 0 === $placed ? null : $root;
    }

    /**
     * @param list<SheetPart> $free
     *
     * @return array{int, int, int, bool}|null the free part, and how the piece lies in it
     */
    private function bestSpot(array $free, Piece $piece, Filling $how): ?array
    {
        $best = \PHP_INT_MAX;
        $spot = null;
        foreach ($free as $at => $part) {
            foreach ($piece->ways() as [$width, $height, $isTurned]) {
                ++$this->work;
                $across = $part->width - $width;
                $down = $part->height - $height;
                if ($across < 0 || $down < 0) {
                    continue;
                }
                $misfit = match ($how->fit) {
                    Filling::FIT_AREA => $part->width * $part->height,
                    Filling::FIT_SHORT_SIDE => min($across, $down),
                    default => max($across, $down),
                };
                if ($misfit < $best && $this->carver->canTrim($part, $width, $height)) {
                    $best = $misfit;
                    $spot = [$at, $width, $height, $isTurned];
                }
            }
        }

        return $spot;
    }

    /**
     * @param list<SheetPart> $free
     * @param array{int, int, int, bool} $spot
     *
     * @return list<SheetPart>
     */
    private function place(array $free, array $spot, int $index, Filling $how): array
    {
        $this->work += self::WORK_OF_A_PLACING;
        [$at, $width, $height, $isTurned] = $spot;
        $part = $free[$at];
        $corner = $this->carver->trim($part, $width, $height, $how->alongXFirst);
        \assert(null !== $corner);
        $corner->piece = $index;
        $corner->isTurned = $isTurned;
        array_splice($free, $at, 1, array_values(array_filter($part->leaves(), static fn (SheetPart $leaf): bool => null === $leaf->piece)));

        return $free;
    }
}
