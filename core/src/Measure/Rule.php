<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/** Where a rule has its marks and numbers when it is drawn: as many as can be told apart, the numbers in the unit of the room. */
final readonly class Rule
{
    /** From one number to the next, in the unit. */
    private const NUMBERS = [
        'in' => [1, 2, 3, 6, 12],
        'mm' => [10, 20, 50, 100, 200, 500],
    ];

    /** Marks between, in ticks, the finest first. */
    private const MARKS = ['in' => [2032, 4064, 8128], 'mm' => [1600, 3200, 16_000, 32_000]];

    private const LEAST_BETWEEN_MARKS = 4.0;

    /** @param list<array{int, string|null}> $marks how far from its beginning, in ticks, and the number there, where one is */
    private function __construct(public array $marks)
    {
    }

    /**
     * @param int $end how long the rule is, in ticks
     * @param float $scale pixels to a tick
     * @param float $digit how wide a digit is, in pixels
     */
    public static function along(LengthUnit $unit, int $end, float $scale, float $digit): self
    {
        $one = LengthUnit::Inch === $unit ? Length::TICKS_PER_INCH : Length::TICKS_PER_MILLIMETRE;
        $kind = LengthUnit::Inch === $unit ? 'in' : 'mm';
        $longest = ($digit * (\strlen((string) intdiv($end, $one)) + 0.6)) / $scale;
        $number = self::first(self::NUMBERS[$kind], static fn (int $many): bool => $many * $one >= $longest) * $one;
        $mark = self::first(self::MARKS[$kind], static fn (int $ticks): bool => $ticks * $scale >= self::LEAST_BETWEEN_MARKS && 0 === $number % $ticks);
        $marks = [];
        for ($at = 0; $at <= $end; $at += $mark) {
            $marks[] = [$at, 0 === $at % $number ? (string) intdiv($at, $one) : null];
        }

        return new self($marks);
    }

    /**
     * @param non-empty-list<int> $from
     * @param callable(int): bool $fits
     */
    private static function first(array $from, callable $fits): int
    {
        foreach ($from as $one) {
            if ($fits($one)) {
                return $one;
            }
        }

        return $from[\count($from) - 1];
    }
}
