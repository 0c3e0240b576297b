<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;

/** One pasted line: a name, perhaps a maker, a quantity, themes and a colour behind semicolons. */
final readonly class PastedThing
{
    public const MOST_CHARACTERS = 200;

    /**
     * @param list<string> $themes
     * @param string|null $colour as hex
     */
    public function __construct(public string $name, public string $maker = '', public int $quantity = 1, public array $themes = [], public ?string $colour = null, public string $colourName = '')
    {
    }

    /**
     * Reads lines of `name; maker; quantity; themes; colour`, of which only the name must be there; themes are parted by
     * commas, a colour is a hex code or a name. Empty lines are passed over.
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
        if (\count($fields) > 5) {
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

        $themes = array_values(array_unique(array_filter(array_map(trim(...), explode(',', $fields[3] ?? '')), static fn (string $theme): bool => '' !== $theme)));
        [$colour, $colourName] = self::colour($fields[4] ?? '', $number);

        return new self($name, $maker, '' === $quantity ? 1 : (int) $quantity, $themes, $colour, $colourName);
    }

    /** @return array{string|null, string} */
    private static function colour(string $text, int $number): array
    {
        if (!str_starts_with($text, '#')) {
            return [null, mb_substr($text, 0, 60)];
        }
        try {
            return [Srgb::ofHex($text)->hex(), ''];
        } catch (InvalidColour) {
            throw InvalidPaste::badColour($number);
        }
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
