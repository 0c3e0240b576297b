<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;

/** The sizes that a die, or each die of a set, cuts out of paper: the boxes around its shapes. */
final readonly class CutSizes
{
    public const MOST = 24;

    /** A die is as good as exact when it is off by no more than this (common practice, no source). */
    private const AS_GOOD = Length::TICKS_PER_INCH / 16;

    /** What is off by more than this is another size, not a near one (common practice, no source). */
    private const NEAR = Length::TICKS_PER_INCH / 2;

    /** @param list<Size> $sizes each once, the largest first */
    private function __construct(public array $sizes)
    {
    }

    /** @param list<Size> $sizes in any order */
    public static function of(array $sizes): self
    {
        $each = [];
        foreach ($sizes as $size) {
            $each[$size->width->ticks.'.'.$size->height->ticks] = $size;
        }
        $each = array_values($each);
        usort($each, static fn (Size $one, Size $other): int => [$other->width->ticks * $other->height->ticks, $other->width->ticks]
            <=> [$one->width->ticks * $one->height->ticks, $one->width->ticks]);

        return new self($each);
    }

    /** @param list<array{int, int}> $ticks width and height of each, in ticks */
    public static function ofTicks(array $ticks): self
    {
        return self::of(array_map(static fn (array $sides): Size => Size::ofTicks(...$sides), $ticks));
    }

    /**
     * Reads sizes that are parted by commas, semicolons or lines, such as `4 1/4 × 5 1/2, 3 × 4`.
     *
     * @throws InvalidLength if one of them is no size, or there are more than one die set has
     */
    public static function read(string $text, LengthUnit $unit): self
    {
        $words = self::words($text);
        if (\count($words) > self::MOST) {
            throw InvalidLength::isTooMany(self::MOST);
        }

        return self::of(array_map(static fn (string $word): Size => SheetSize::ofDie($word, $unit), $words));
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        // A comma with a digit on both sides stands in a number, as in 10,5 × 8, unless there are several sizes to part.
        $words = preg_split('/\s*(?:[;\n]|,(?!\d)|(?<!\d),)\s*/u', trim($text), -1, \PREG_SPLIT_NO_EMPTY) ?: [];
        $parted = array_map(static fn (string $word): array => preg_match_all('/[×x*]/iu', $word) > 1 ? explode(',', $word) : [$word], $words);

        return array_merge([], ...$parted);
    }

    public function isNone(): bool
    {
        return [] === $this->sizes;
    }

    /** @return list<array{int, int}> width and height of each, in ticks */
    public function ticks(): array
    {
        return array_map(static fn (Size $size): array => [$size->width->ticks, $size->height->ticks], $this->sizes);
    }

    /** Whether it cuts a size, one way round or the other, give or take a sixteenth of an inch. */
    public function cuts(Size $wanted): bool
    {
        return null !== $this->nearest($wanted, self::AS_GOOD);
    }

    /**
     * Returns the size of these that comes nearest to another, lying as that one lies; null where none is near.
     *
     * @param int $within in ticks: by so much either side may be off at the most
     */
    public function nearest(Size $wanted, int $within = self::NEAR): ?Size
    {
        $nearest = null;
        foreach ($this->sizes as $size) {
            foreach ([$size, $size->turned()] as $lying) {
                $off = self::off($lying, $wanted);
                if ($off <= $within) {
                    $within = $off - 1;
                    $nearest = $lying;
                }
            }
        }

        return $nearest;
    }

    /** Returns how far the worse of two sides is off, in ticks. */
    public static function off(Size $one, Size $other): int
    {
        return max(abs($one->width->ticks - $other->width->ticks), abs($one->height->ticks - $other->height->ticks));
    }

    /** Returns them as they are typed and read again. */
    public function written(LengthFormat $lengths): string
    {
        return implode('; ', array_map(
            static fn (Size $size): string => $lengths->exact($size->width).' × '.$lengths->exact($size->height),
            $this->sizes,
        ));
    }

    public function equals(self $other): bool
    {
        return $this->ticks() === $other->ticks();
    }
}
