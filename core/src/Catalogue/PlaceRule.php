<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

/** What a place says about what is put into it; new things take over what it says once, and nothing of which it names several. */
final readonly class PlaceRule
{
    public function __construct(public ?Kind $kind = null, private string $maker = '', private string $theme = '', public string $season = '')
    {
    }

    /** Returns the same rule but for what it says of kinds. */
    public function ofAnyKind(): self
    {
        return new self(null, $this->maker, $this->theme, $this->season);
    }

    /** Returns the maker that a new thing takes over, or nothing. */
    public function maker(): string
    {
        return self::only($this->maker);
    }

    /** @return list<string> the themes that a new thing takes over */
    public function themes(): array
    {
        return '' === self::only($this->theme) ? [] : [$this->theme];
    }

    private static function only(string $said): string
    {
        return str_contains($said, ',') ? '' : $said;
    }
}
