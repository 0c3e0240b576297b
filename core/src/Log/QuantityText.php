<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;

/** Reads and prints quantities the way each tracking is spoken of; the one place that does. */
final readonly class QuantityText
{
    private const EIGHTHS = ['⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];
    private const LEVELS = ['full' => 8, 'a full one' => 8, 'half' => 4, 'half full' => 4, 'a quarter' => 2, 'quarter' => 2, 'three quarters' => 6];
    private const REAM = 500;
    private const VULGAR = ['¼' => '1/4', '½' => '1/2', '¾' => '3/4', '⅛' => '1/8', '⅜' => '3/8', '⅝' => '5/8', '⅞' => '7/8'];

    public function __construct(public LengthUnit $unit)
    {
    }

    /**
     * Reads a quantity: a whole number of things, or of packs with so many each; a length such as `5 m`, `2 1/2 yd` or `36` in the room's unit; or how full a
     * container is, in words, as a fraction, or in eighths.
     *
     * @throws RefusedMovement if it is not whole, below 1 or out of range
     * @throws InvalidLength if a length cannot be read
     */
    public function parse(string $text, Tracking $tracking): int
    {
        $plain = trim($text);
        $quantity = match ($tracking) {
            Tracking::Length => $this->length($plain),
            Tracking::Level => $this->level($plain),
            default => $this->whole($plain),
        };
        $tracking->check($quantity);

        return $quantity;
    }

    /** Returns how many sheets or pieces packs hold together, such as 72 for `3 × 24`, `3 pads of 24` or 500 for `a ream`; null where it is no pack. */
    private static function packed(string $text): ?int
    {
        if (1 === preg_match('/^(?:a|1) ream$/iD', $text)) {
            return self::REAM;
        }

        return 1 === preg_match('/^(\d{1,6})\s*(?:[x×*]|(?:pads?|packs?|packets?|bags?)?\s*of)\s*(\d{1,6})(?:\s+(?:sheets?|pieces?))?$/iuD', $text, $m)
            ? (int) $m[1] * (int) $m[2]
            : null;
    }

    /** Returns how a text alone says that a thing is counted, or null where any way would do. */
    public function tells(string $text): ?Tracking
    {
        $plain = mb_strtolower(trim($text));
        if (isset(self::LEVELS[$plain]) || 1 === preg_match('#^(\d/\d|[¼½¾⅛⅜⅝⅞])( full)?$#uD', $plain)) {
            return Tracking::Level;
        }
        if (null !== self::packed($plain)) {
            return Tracking::Count;
        }

        return 1 === preg_match('/^[\d\s.,\/¼½¾⅛⅜⅝⅞]*\d?\s*(in|inch|inches|mm|cm|m|ft|foot|feet|yds?|yards?|["″”\'′’])\.?$/uD', $plain)
            ? Tracking::Length
            : null;
    }

    /** Returns the quantity in words, such as `12`, `4¼ in` or `¾ full`. */
    public function print(int $quantity, Tracking $tracking): string
    {
        return match ($tracking) {
            Tracking::Length => (new LengthFormat($this->unit))->rolled(Length::ofTicks(min(max($quantity, 0), Length::MOST_TICKS))),
            Tracking::Level => $quantity >= Tracking::FULL ? 'full' : (self::EIGHTHS[$quantity - 1] ?? '0').' full',
            default => number_format($quantity),
        };
    }

    /** Returns the quantity so that parse() gives the same again, for a form's field. */
    public function field(int $quantity, Tracking $tracking): string
    {
        return match ($tracking) {
            Tracking::Length => (new LengthFormat($this->unit))->exact(Length::ofTicks(min(max($quantity, 0), Length::MOST_TICKS))),
            Tracking::Level => self::levelField($quantity),
            default => (string) $quantity,
        };
    }

    private static function levelField(int $quantity): string
    {
        $word = array_search(min($quantity, Tracking::FULL), ['full' => 8, 'half' => 4, '1/4' => 2, '3/4' => 6], true);

        return false === $word ? $quantity.'/8' : $word;
    }

    private function length(string $text): int
    {
        $ticks = Length::parse($text, $this->unit)->ticks;

        return 0 === $ticks ? throw RefusedMovement::noLength() : $ticks;
    }

    private function level(string $text): int
    {
        $plain = mb_strtolower(strtr($text, self::VULGAR));
        if (isset(self::LEVELS[$plain])) {
            return self::LEVELS[$plain];
        }
        if (1 === preg_match('#^([1-8])/([248])( full)?$#D', $plain, $m) && 0 === (int) $m[1] * Tracking::FULL % (int) $m[2]) {
            return intdiv((int) $m[1] * Tracking::FULL, (int) $m[2]);
        }

        return 1 === preg_match('/^\d{1,9}$/D', $plain) ? (int) $plain : throw RefusedMovement::notALevel();
    }

    private function whole(string $text): int
    {
        $packed = self::packed($text);
        if (null !== $packed) {
            return $packed;
        }
        if (1 !== preg_match('/^[+-]?\d+$/D', $text)) {
            throw RefusedMovement::notAWholeNumber();
        }

        return \strlen($text) > 12 ? Tracking::MOST + 1 : (int) $text;
    }
}
