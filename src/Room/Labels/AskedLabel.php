<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelSize;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthParser;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Component\HttpFoundation\InputBag;

/** A single label as it is asked for: made for what, how large, with a code or without. */
final readonly class AskedLabel
{
    private function __construct(public LabelFormat $format, public ?LabelSize $size, public bool $hasCode)
    {
    }

    /**
     * @param InputBag<string> $query
     *
     * @throws InvalidLabel if it would be too small or too large
     */
    public static function read(InputBag $query, LabelFormat $usual, LengthUnit $unit): self
    {
        $format = LabelFormat::tryFrom($query->getString('format')) ?? $usual;
        $was = $query->getString('was');
        $size = $format->size();
        if ('' === $was || $was === $format->value) {
            $size = new LabelSize(
                self::tenths($query->getString('width'), $size->width, $unit),
                self::tenths($query->getString('height'), $size->height, $unit),
            );
        }

        return new self($format, $size, $query->has('code') || !$query->has('format'));
    }

    /** As large as it usually is, with a code. */
    public static function usual(LabelFormat $format): self
    {
        return new self($format, null, true);
    }

    /** Reads a length, in tenths of a millimetre; 0 where it cannot be read. */
    private static function tenths(string $typed, int $otherwise, LengthUnit $unit): int
    {
        if ('' === trim($typed)) {
            return $otherwise;
        }
        try {
            return (int) round(10 * (new LengthParser($unit))->parse($typed)->millimetres());
        } catch (InvalidLength) {
            return 0;
        }
    }
}
