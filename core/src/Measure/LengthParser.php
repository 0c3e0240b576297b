<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/** Reads lengths as people write them at the bench. Works on whole numbers only; nothing passes through a float. */
final readonly class LengthParser
{
    private const VULGAR = [
        '¼' => '1/4', '½' => '1/2', '¾' => '3/4', '⅐' => '1/7', '⅑' => '1/9', '⅒' => '1/10', '⅓' => '1/3', '⅔' => '2/3',
        '⅕' => '1/5', '⅖' => '2/5', '⅗' => '3/5', '⅘' => '4/5', '⅙' => '1/6', '⅚' => '5/6',
        '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8',
    ];

    private const TICKS_PER_UNIT = [
        'in' => Length::TICKS_PER_INCH, 'inch' => Length::TICKS_PER_INCH, 'inches' => Length::TICKS_PER_INCH,
        '"' => Length::TICKS_PER_INCH, '″' => Length::TICKS_PER_INCH, '”' => Length::TICKS_PER_INCH,
        'mm' => Length::TICKS_PER_MILLIMETRE,
        'cm' => 10 * Length::TICKS_PER_MILLIMETRE,
        'm' => 1000 * Length::TICKS_PER_MILLIMETRE,
        'ft' => 12 * Length::TICKS_PER_INCH,
        'foot' => 12 * Length::TICKS_PER_INCH,
        'feet' => 12 * Length::TICKS_PER_INCH,
        "'" => 12 * Length::TICKS_PER_INCH,
        '′' => 12 * Length::TICKS_PER_INCH,
        '’' => 12 * Length::TICKS_PER_INCH,
        'yd' => 36 * Length::TICKS_PER_INCH,
        'yds' => 36 * Length::TICKS_PER_INCH,
        'yard' => 36 * Length::TICKS_PER_INCH,
        'yards' => 36 * Length::TICKS_PER_INCH,
    ];

    public function __construct(private LengthUnit $bare)
    {
    }

    /** @throws InvalidLength if it cannot be read, is negative or is over 100 m */
    public function parse(string $text): Length
    {
        if (1 === preg_match('/^\s*(\d.*?(?:ft|feet|foot|[\'′’]))\s*(\d.*?(?:in|inch|inches|["″”]))\s*$/uDi', $text, $m)) {
            return $this->one($m[1])->plus($this->one($m[2]));
        }

        return $this->one($text);
    }

    private function one(string $text): Length
    {
        [$number, $unit] = $this->split($text);
        $ticksPerUnit = self::TICKS_PER_UNIT[$unit] ?? throw InvalidLength::notReadable($text);

        if (1 === preg_match('/^(\d{1,6})(?:[.,](\d{1,6}))?$/', $number, $m)) {
            return $this->decimal($m[1], $m[2] ?? '', $ticksPerUnit);
        }
        if (1 === preg_match('/^[.,](\d{1,6})$/', $number, $m)) {
            return $this->decimal('0', $m[1], $ticksPerUnit);
        }
        if (1 === preg_match('#^(?:(\d{1,6})(?:\s+|\s*-\s*|\s+and\s+))?(\d{1,4})\s*[/⁄]\s*(\d{1,4})$#u', $number, $m)) {
            return $this->mixed((int) $m[1], (int) $m[2], (int) $m[3], $ticksPerUnit, $text);
        }
        throw str_starts_with($number, '-') || str_starts_with($number, '−') ? InvalidLength::negative() : InvalidLength::notReadable($text);
    }

    /** @return array{string, string} the number and its unit */
    private function split(string $text): array
    {
        $plain = trim((string) preg_replace('/\s+/u', ' ', $this->spelledOut($text)));
        if (1 !== preg_match('/^(.*?)\s*(in|inch|inches|mm|cm|m|ft|foot|feet|yd|yds|yard|yards|"|″|”|\'|′|’)?\.?$/uiD', $plain, $m) || '' === $m[1]) {
            throw InvalidLength::notReadable($text);
        }

        return [$m[1], mb_strtolower($m[2] ?? '') ?: $this->bare->value];
    }

    private function spelledOut(string $text): string
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            throw InvalidLength::notReadable('?');
        }
        $spaced = array_map(static fn (string $fraction): string => ' '.$fraction, self::VULGAR);

        return strtr($text, $spaced);
    }

    private function decimal(string $whole, string $fraction, int $ticksPerUnit): Length
    {
        $scale = 10 ** \strlen($fraction);

        return Length::ofRatio((int) $whole * $scale + (int) $fraction, $scale, $ticksPerUnit);
    }

    private function mixed(int $whole, int $numerator, int $denominator, int $ticksPerUnit, string $text): Length
    {
        if (0 === $denominator) {
            throw InvalidLength::denominatorIsZero($text);
        }

        return Length::ofRatio($whole * $denominator + $numerator, $denominator, $ticksPerUnit);
    }
}
