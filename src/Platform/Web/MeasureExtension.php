<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\CutSizes;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;

/** Quantities, lengths and weights as the room measures, to read and to type again. */
final class MeasureExtension extends AbstractExtension
{
    private const MM_PER_INCH = 25.4;
    private const INCHES_PER_FOOT = 12;

    public function __construct(private readonly Measures $measures)
    {
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('money', static fn (int $cents): string => number_format($cents / 100, 2)),
            new TwigFilter('qty', fn (int $quantity, Tracking $tracking): string => $this->measures->quantities()->print($quantity, $tracking)),
            new TwigFilter('qty_field', fn (int $quantity, Tracking $tracking): string => $this->measures->quantities()->field($quantity, $tracking)),
            new TwigFilter('sides', $this->sides(...)),
            new TwigFilter('length_field', $this->lengthField(...)),
            new TwigFilter('length_from_zero', fn (?int $ticks): string => 0 === $ticks ? '0' : $this->lengthField($ticks)),
            new TwigFilter(
                'size_field',
                fn (?Size $size): string => null === $size ? '' : $this->lengthField($size->width).' × '.$this->lengthField($size->height),
            ),
            new TwigFilter(
                'size_short',
                fn (?Size $size): string => null === $size
                    ? ''
                    : $this->measures->lengths()->number($size->width).' × '.$this->measures->lengths()->number($size->height),
            ),
            new TwigFilter('cuts_field', fn (?CutSizes $sizes): string => $sizes?->written($this->measures->lengths()) ?? ''),
            new TwigFilter('rolled', fn (Length $length): string => $this->measures->lengths()->rolled($length)),
            new TwigFilter('volume', fn (float $litres): string => $this->measures->volumes()->print($litres)),
            new TwigFilter('weight', fn (int $grams): string => $this->measures->weights()->print($grams)),
            new TwigFilter('weight_field', fn (?int $grams): string => null === $grams ? '' : $this->measures->weights()->field($grams)),
            new TwigFilter('mm_field', $this->mmField(...)),
            new TwigFilter('room_side', $this->roomSide(...)),
        ];
    }

    /** @param list<Length> $sides */
    private function sides(array $sides): string
    {
        return $this->measures->lengths()->sides(...$sides);
    }

    /** @param Length|int|null $length a length, or ticks; nothing stays empty */
    private function lengthField(Length|int|null $length): string
    {
        return match (true) {
            null === $length => '',
            \is_int($length) => $this->measures->lengths()->exact(Length::ofTicks($length)),
            default => $this->measures->lengths()->exact($length),
        };
    }

    /** Whole millimetres as the room measures, so that the same whole millimetres are read again. */
    private function mmField(?int $millimetres): string
    {
        if (null === $millimetres || $this->measures->isMetric()) {
            return null === $millimetres ? '' : $millimetres.' mm';
        }

        return rtrim(rtrim(\sprintf('%.2F', $millimetres / self::MM_PER_INCH), '0'), '.').' in';
    }

    private function roomSide(int $millimetres): string
    {
        if ($this->measures->isMetric()) {
            return number_format($millimetres / 1000, 2).' m';
        }
        $inches = (int) round($millimetres / self::MM_PER_INCH);

        return intdiv($inches, self::INCHES_PER_FOOT).' ft '.($inches % self::INCHES_PER_FOOT).' in';
    }
}
