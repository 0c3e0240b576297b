<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

/** What a place says about what is put into it; new things take over what it says once, and nothing of which it names several. */
final readonly class PlaceRule
{
    /** @param bool $yieldsToNames whether a kind that a name tells counts more than the one that the place is for */
    public function __construct(
        public ?Kind $kind = null,
        private string $maker = '',
        private string $theme = '',
        public string $season = '',
        public bool $yieldsToNames = false,
    ) {
    }

    /** Returns the same rule, but that a kind which a name tells counts more than what the place is for. */
    public function yielding(): self
    {
        return new self($this->kind, $this->maker, $this->theme, $this->season, true);
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
