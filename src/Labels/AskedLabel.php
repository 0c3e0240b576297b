<?php

declare(strict_types=1);

namespace App\Labels;

use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelSize;
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
    public static function read(InputBag $query, LabelFormat $usual): self
    {
        $format = LabelFormat::tryFrom($query->getString('format')) ?? $usual;
        $was = $query->getString('was');
        $size = $format->size();
        if ('' === $was || $was === $format->value) {
            $size = new LabelSize(self::tenths($query->getString('width'), $size->width), self::tenths($query->getString('height'), $size->height));
        }

        return new self($format, $size, $query->has('code') || !$query->has('format'));
    }

    /** As large as it usually is, with a code. */
    public static function usual(LabelFormat $format): self
    {
        return new self($format, null, true);
    }

    /** Reads millimetres; 0 where they cannot be read. */
    private static function tenths(string $typed, int $otherwise): int
    {
        return match (true) {
            '' === $typed => $otherwise,
            1 === preg_match('/^\d{1,3}([.,]\d)?$/D', $typed) => (int) round(10 * (float) str_replace(',', '.', $typed)),
            default => 0,
        };
    }
}
