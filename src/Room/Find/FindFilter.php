<?php

declare(strict_types=1);

namespace App\Room\Find;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Measure\Size;

/** What is looked for. */
final readonly class FindFilter
{
    public const STATES = ['home', 'out', 'lost'];

    /**
     * @param ColourWanted|null $colour of which colour
     * @param Size|null $panel what is to be cut out of it
     * @param int|null $unusedMonths not used for so many months
     */
    public function __construct(
        public string $text = '',
        public ?Kind $kind = null,
        public string $theme = '',
        public ?ColourWanted $colour = null,
        public ?Size $panel = null,
        public string $state = '',
        public ?int $unusedMonths = null,
        public bool $isWalk = false,
    ) {
    }

    /** Returns the same with what is named said otherwise. */
    public function with(Kind|false|null $kind = false, ?string $theme = null, ?string $state = null, int|false|null $unusedMonths = false): self
    {
        return new self(
            $this->text,
            false === $kind ? $this->kind : $kind,
            $theme ?? $this->theme,
            $this->colour,
            $this->panel,
            $state ?? $this->state,
            false === $unusedMonths ? $this->unusedMonths : $unusedMonths,
            $this->isWalk,
        );
    }

    public function saysNothingBesideText(): bool
    {
        return null === $this->kind
            && '' === $this->theme
            && null === $this->colour
            && null === $this->panel
            && '' === $this->state
            && null === $this->unusedMonths;
    }
}
