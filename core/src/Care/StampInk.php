<?php

declare(strict_types=1);

namespace Lottel\Core\Care;

/** An ink that was with stamps, and whether water takes it off them (common practice, no source). */
final readonly class StampInk
{
    private const SOLVENT = '/solvent|pigment|permanent|embossing|sticky|alcohol|hybrid|archival|\boil|cleaner|spirit/iu';
    private const WATER = '/\b(water|damp|dye|watercolou?r)\b/iu';
    private const NOT_WATER = '/\bwater[- ]?(?:proof|resistant|fast)|\b(?:not|no|never|nor|without)\b[^,;.]*\bwater/iu';
    private const EITHER = '/\bwater\b[^,;.]*\bor\b|\bor\b[^,;.]*\bwater\b/iu';

    /** @param bool|null $isWashedOff null where nobody knows */
    private function __construct(public string $name, public ?bool $isWashedOff)
    {
    }

    /**
     * @param string $type what its record says of its type, empty where nothing
     * @param string $comesOffWith what its record says that it comes off with
     */
    public static function of(string $name, string $type = '', string $comesOffWith = ''): self
    {
        foreach ([$comesOffWith, $type, $name] as $said) {
            $isWashedOff = self::says($said);
            if (null !== $isWashedOff) {
                return new self($name, $isWashedOff);
            }
        }

        return new self($name, null);
    }

    private static function says(string $said): ?bool
    {
        return match (true) {
            1 === preg_match(self::NOT_WATER, $said) => false,
            1 === preg_match(self::EITHER, $said) => true,
            1 === preg_match(self::SOLVENT, $said) => false,
            1 === preg_match(self::WATER, $said) => true,
            default => null,
        };
    }
}
