<?php

declare(strict_types=1);

namespace Lottel\Core\Care;

/** An ink that was with stamps, and whether water takes it off them (common practice, no source). */
final readonly class StampInk
{
    private const SOLVENT = '/solvent|pigment|permanent|embossing|sticky|alcohol|hybrid|archival|oil/iu';
    private const WATER = '/\b(water|damp|dye|watercolou?r)/iu';

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
            if (1 === preg_match(self::SOLVENT, $said)) {
                return new self($name, false);
            }
            if (1 === preg_match(self::WATER, $said)) {
                return new self($name, true);
            }
        }

        return new self($name, null);
    }
}
