<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;

/** Reads and prints quantities the way each tracking is spoken of. */
final readonly class QuantityText
{
    private const EIGHTHS = ['⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

    public function __construct(private LengthUnit $unit)
    {
    }

    /**
     * Reads a quantity: a whole number of things, a length for what is counted by length, or eighths for a level.
     *
     * @throws RefusedMovement if it is not whole, below 1 or out of range
     * @throws InvalidLength if a length cannot be read
     */
    public function parse(string $text, Tracking $tracking): int
    {
        $plain = trim($text);
        if (Tracking::Length === $tracking) {
            $ticks = Length::parse($plain, $this->unit)->ticks;
            $tracking->check($ticks);

            return $ticks;
        }
        if (!preg_match('/^[+-]?\d+$/D', $plain)) {
            throw RefusedMovement::notAWholeNumber();
        }
        $quantity = \strlen($plain) > 12 ? Tracking::MOST + 1 : (int) $plain;
        $tracking->check($quantity);

        return $quantity;
    }

    /** Returns the quantity in words, such as `12`, `4¼ in` or `¾ full`. */
    public function print(int $quantity, Tracking $tracking): string
    {
        return match ($tracking) {
            Tracking::Length => (new LengthFormat($this->unit))->full(Length::ofTicks(min(max($quantity, 0), Length::MOST_TICKS))),
            Tracking::Level => $quantity >= Tracking::FULL ? 'full' : (self::EIGHTHS[$quantity - 1] ?? '0').' full',
            default => number_format($quantity),
        };
    }

    /** Returns the quantity as parse() reads it, for a form's field. */
    public function field(int $quantity, Tracking $tracking): string
    {
        return Tracking::Length === $tracking ? (new LengthFormat($this->unit))->number(Length::ofTicks(min(max($quantity, 0), Length::MOST_TICKS))) : (string) $quantity;
    }
}
