<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * What sheets of one size became: pieces, offcuts that are kept, and waste. The fifth law of the log holds for it: the sheets' area is
 * that of all parts together, to the square tick.
 */
final readonly class CutYield
{
    /** @param list<YieldedPart> $parts */
    private function __construct(public int $width, public int $height, public int $sheets, public array $parts)
    {
    }

    /**
     * @param array<WorkPart> $leaves
     *
     * @throws RefusedCut if their area is not that of the sheet
     */
    public static function of(int $width, int $height, array $leaves, Keep $keep): self
    {
        $parts = array_map(static fn (WorkPart $leaf): YieldedPart => self::one($leaf, $keep), array_values($leaves));

        return self::counted($width, $height, 1, self::together($parts));
    }

    /**
     * Returns what is written down already, or is to be.
     *
     * @param list<YieldedPart> $parts
     *
     * @throws RefusedCut if their area is not that of the sheets
     */
    public static function counted(int $width, int $height, int $sheets, array $parts): self
    {
        $area = array_sum(array_map(static fn (YieldedPart $part): int => $part->area(), $parts));
        if ($width < 1 || $height < 1 || $sheets < 1 || $area !== $width * $height * $sheets) {
            throw RefusedCut::areaIsNotKept($width * $height * $sheets, $area);
        }

        return new self($width, $height, $sheets, $parts);
    }

    /** @throws RefusedCut if the other's sheets are of another size */
    public function and(self $other): self
    {
        return self::counted($this->width, $this->height, $this->sheets + $other->sheets, self::together([...$this->parts, ...$other->parts]));
    }

    /** @return list<YieldedPart> */
    public function all(PartFate $fate): array
    {
        return array_values(array_filter($this->parts, static fn (YieldedPart $part): bool => $part->fate === $fate));
    }

    /** Returns what part of the sheets becomes nothing, from 0 to 1. */
    public function waste(): float
    {
        $waste = array_sum(array_map(static fn (YieldedPart $part): int => $part->area(), $this->all(PartFate::Waste)));

        return $waste / ($this->width * $this->height * $this->sheets);
    }

    private static function one(WorkPart $leaf, Keep $keep): YieldedPart
    {
        if (null !== $leaf->piece) {
            return new YieldedPart(
                PartFate::Piece,
                $leaf->isTurned ? $leaf->height : $leaf->width,
                $leaf->isTurned ? $leaf->width : $leaf->height,
                1,
                $leaf->piece,
            );
        }
        $fate = $keep->isWorth($leaf->width, $leaf->height) ? PartFate::Offcut : PartFate::Waste;

        return new YieldedPart($fate, $leaf->width, $leaf->height, 1);
    }

    /**
     * @param list<YieldedPart> $parts
     *
     * @return list<YieldedPart> those alike as one
     */
    private static function together(array $parts): array
    {
        $together = [];
        foreach ($parts as $part) {
            $key = implode('/', [$part->fate->value, $part->width, $part->height, $part->piece ?? '']);
            $quantity = ($together[$key]->quantity ?? 0) + $part->quantity;
            $together[$key] = new YieldedPart($part->fate, $part->width, $part->height, $quantity, $part->piece);
        }

        return array_values($together);
    }
}
