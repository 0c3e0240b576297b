<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;

/** One pasted line: a name, perhaps a maker and a quantity behind semicolons. */
final readonly class PastedThing
{
    public const MOST_CHARACTERS = 200;

    public function __construct(public string $name, public string $maker = '', public int $quantity = 1)
    {
    }

    /**
     * Reads lines of `name`, `name; maker` or `name; maker; quantity`; empty lines are passed over.
     *
     * @return list<self>
     *
     * @throws InvalidPaste if a line has no name, is too long, has too many fields, or its quantity cannot be read
     */
    public static function lines(string $text): array
    {
        $things = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $index => $line) {
            if ('' !== trim($line)) {
                $things[] = self::line($line, $index + 1);
            }
        }

        return $things;
    }

    private static function line(string $line, int $number): self
    {
        $fields = array_map(trim(...), explode(';', $line));
        [$name, $maker, $quantity] = [$fields[0], $fields[1] ?? '', $fields[2] ?? ''];
        if (\count($fields) > 3) {
            throw InvalidPaste::tooManyFields($number);
        }
        if ('' === $name) {
            throw InvalidPaste::noName($number);
        }
        if (mb_strlen($name) > self::MOST_CHARACTERS || mb_strlen($maker) > 120) {
            throw InvalidPaste::tooLong($number);
        }
        if ('' !== $quantity && (!preg_match('/^\d{1,6}$/D', $quantity) || 0 === (int) $quantity)) {
            throw InvalidPaste::badQuantity($number);
        }

        return new self($name, $maker, '' === $quantity ? 1 : (int) $quantity);
    }

    /** Returns how such a thing is counted: as its kind usually is, and by count where there are several. */
    public function tracking(Kind $kind): Tracking
    {
        $usual = $kind->usualTracking();

        return $this->quantity > 1 && $usual->movesWhole() ? Tracking::Count : $usual;
    }

    /**
     * Returns the quantity to take in, which is a full container where the kind is tracked by level.
     *
     * @throws RefusedMovement never for what lines() read
     */
    public function takenIn(Tracking $tracking): int
    {
        $quantity = Tracking::Level === $tracking ? Tracking::FULL : $this->quantity;
        $tracking->check($quantity);

        return $quantity;
    }
}
