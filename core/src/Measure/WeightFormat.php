<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/**
 * Weights as a room speaks of them: ounces and pounds in a room that measures in inches, grams and kilograms in one that
 * measures in millimetres. 1 oz = 28.349523125 g and 1 lb = 16 oz by definition (international avoirdupois pound, 1959).
 */
final readonly class WeightFormat
{
    private const GRAMS_PER_OUNCE = 28.349523125;
    private const OUNCES_PER_POUND = 16;
    private const GRAMS = [
        'g' => 1.0,
        'gram' => 1.0,
        'grams' => 1.0,
        'kg' => 1000.0,
        'oz' => self::GRAMS_PER_OUNCE,
        'ounce' => self::GRAMS_PER_OUNCE,
        'ounces' => self::GRAMS_PER_OUNCE,
        'lb' => self::GRAMS_PER_OUNCE * self::OUNCES_PER_POUND,
        'lbs' => self::GRAMS_PER_OUNCE * self::OUNCES_PER_POUND,
        'pounds' => self::GRAMS_PER_OUNCE * self::OUNCES_PER_POUND,
    ];

    private const NUMBER = '(?:\d{1,4}\s+)?\d{1,2}/[1-9]\d?|\d{1,7}(?:[.,]\d{1,3})?';
    private const VULGAR = ['¼' => ' 1/4', '½' => ' 1/2', '¾' => ' 3/4'];

    public function __construct(private LengthUnit $unit)
    {
    }

    /** Returns a weight such as `90 g`, `1.2 kg`, `3.2 oz` or `2 lb 10 oz`; lighter than ten ounces to a tenth. */
    public function print(float $grams): string
    {
        if (LengthUnit::Millimetre === $this->unit) {
            return $grams >= 1000 ? number_format($grams / 1000, 1).' kg' : round($grams).' g';
        }
        $ounces = $grams / self::GRAMS_PER_OUNCE;
        if ($ounces < 10) {
            return rtrim(rtrim(number_format($ounces, 1), '0'), '.').' oz';
        }
        $whole = (int) round($ounces);
        [$pounds, $rest] = [intdiv($whole, self::OUNCES_PER_POUND), $whole % self::OUNCES_PER_POUND];

        return trim((0 === $pounds ? '' : number_format($pounds).' lb').(0 === $rest && $pounds > 0 ? '' : ' '.$rest.' oz'));
    }

    /** Returns the weight so that parse() gives the same whole grams again, for a form's field. */
    public function field(int $grams): string
    {
        if (LengthUnit::Millimetre === $this->unit) {
            return (string) $grams;
        }
        $pounds = (int) round($grams / self::GRAMS_PER_OUNCE / self::OUNCES_PER_POUND);
        if ($pounds > 0 && $grams === self::gramsOf($pounds)) {
            return $pounds.' lb';
        }
        $whole = (int) floor($grams / self::GRAMS_PER_OUNCE / self::OUNCES_PER_POUND);
        $ounces = rtrim(rtrim(\sprintf('%.2F', $grams / self::GRAMS_PER_OUNCE - $whole * self::OUNCES_PER_POUND), '0'), '.');

        return (0 === $whole ? '' : $whole.' lb ').$ounces.' oz';
    }

    /** Returns the unit of a bare number. */
    public function bareUnit(): string
    {
        return LengthUnit::Millimetre === $this->unit ? 'g' : 'oz';
    }

    /**
     * Reads `90`, `90 g`, `1.2 kg`, `3 oz`, `2 lb` or `2 lb 10 oz`; a bare number is in grams or ounces, as the room measures.
     *
     * @return int whole grams, to the nearest
     *
     * @throws InvalidWeight if it cannot be read, is nothing, or is over a tonne
     */
    public function parse(string $text): int
    {
        $plain = trim(strtr($text, self::VULGAR));
        if ('' === $plain || 1 !== preg_match('#^(?:('.self::NUMBER.')\s*(lbs?|pounds)\s*)?(?:('.self::NUMBER.')\s*([a-z]*))?$#iD', $plain, $m)) {
            throw InvalidWeight::notReadable($text);
        }
        $grams = '' === ($m[1] ?? '') ? 0.0 : self::number($m[1]) * self::GRAMS['lb'];
        if ('' !== ($m[3] ?? '')) {
            $unit = mb_strtolower($m[4] ?? '');
            $grams += self::number($m[3]) * (self::GRAMS['' === $unit ? $this->bareUnit() : $unit] ?? throw InvalidWeight::notReadable($text));
        }
        $whole = (int) round($grams);
        if ($whole < 1 || $whole > 1_000_000) {
            throw InvalidWeight::outOfRange();
        }

        return $whole;
    }

    private static function gramsOf(int $pounds): int
    {
        return (int) round($pounds * self::OUNCES_PER_POUND * self::GRAMS_PER_OUNCE);
    }

    private static function number(string $text): float
    {
        if (1 === preg_match('#^(?:(\d+)\s+)?(\d+)/(\d+)$#D', $text, $m)) {
            return (int) $m[1] + (int) $m[2] / max(1, (int) $m[3]);
        }

        return (float) str_replace(',', '.', $text);
    }
}
