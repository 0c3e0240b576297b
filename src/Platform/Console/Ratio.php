<?php

declare(strict_types=1);

namespace App\Platform\Console;

/** An exact fraction of a document's unit, so that thirds of an inch stay thirds. */
final readonly class Ratio
{
    private const MOST = 1_000_000;

    private function __construct(public int $numerator, public int $denominator)
    {
    }

    /** Reads `4.25`, `4 1/4`, `1/8` or `4¼`; null where it is none of them or larger than a million. */
    public static function parse(string $text): ?self
    {
        $plain = trim(strtr($text, ['¼' => ' 1/4', '½' => ' 1/2', '¾' => ' 3/4', '⅛' => ' 1/8', '⅜' => ' 3/8', '⅝' => ' 5/8', '⅞' => ' 7/8']));
        if (1 === preg_match('/^(-?)(\d{1,7})(?:\.(\d{1,9}))?$/D', $plain, $m)) {
            return self::decimal('-' === $m[1], $m[2], $m[3] ?? '');
        }
        if (1 !== preg_match('#^(-?)(?:(\d{1,7})\s+)?(\d{1,6})\s*/\s*(\d{1,6})$#D', $plain, $m) || 0 === (int) $m[4]) {
            return null;
        }
        $numerator = (int) $m[2] * (int) $m[4] + (int) $m[3];

        return self::reduced('-' === $m[1] ? -$numerator : $numerator, (int) $m[4]);
    }

    /** Returns the number as it was written, to nine decimals; null where it is larger than a million. */
    public static function ofNumber(float $number): ?self
    {
        if (abs($number) > self::MOST) {
            return null;
        }
        $decimal = rtrim(rtrim(number_format(abs($number), 9, '.', ''), '0'), '.');
        [$whole, $fraction] = explode('.', $decimal) + [1 => ''];
        $shortest = json_encode(abs($number), \JSON_THROW_ON_ERROR);
        if (1 === preg_match('/^(\d{1,7})\.(\d{1,9})$/D', $shortest, $m)) {
            [$whole, $fraction] = [$m[1], rtrim($m[2], '0')];
        }

        return 0.0 !== $number && '0' === $whole && '' === $fraction
            ? self::reduced($number < 0 ? -1 : 1, 1_000_000_000)
            : self::decimal($number < 0, $whole, $fraction);
    }

    private static function decimal(bool $isNegative, string $whole, string $fraction): ?self
    {
        $scale = 10 ** \strlen($fraction);
        $numerator = (int) $whole * $scale + (int) $fraction;

        return $numerator > self::MOST * $scale ? null : self::reduced($isNegative ? -$numerator : $numerator, $scale);
    }

    private static function reduced(int $numerator, int $denominator): self
    {
        $divisor = self::divisor(abs($numerator), $denominator);

        return new self(intdiv($numerator, $divisor), intdiv($denominator, $divisor));
    }

    public static function divisor(int $a, int $b): int
    {
        while (0 !== $b) {
            [$a, $b] = [$b, $a % $b];
        }

        return max(1, $a);
    }

    public function halved(): self
    {
        return self::reduced($this->numerator, 2 * $this->denominator);
    }

    /** Returns the value as a float. */
    public function value(): float
    {
        return $this->numerator / $this->denominator;
    }
}
