<?php

declare(strict_types=1);

namespace App\Find;

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
