<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;

/** A place that could become a thing's home, with what speaks for it. */
final readonly class HomeCandidate
{
    /**
     * @param list<Thing> $contents what lives there
     * @param float $roomLeft share of it that is free, below 0 where it is over-full
     * @param float $reachSeconds from the bench
     * @param list<Kind> $alsoKinds that belong there, too
     */
    public function __construct(
        public string $address,
        public ?Kind $saysKind,
        public string $saysMaker,
        public string $saysTheme,
        public array $contents,
        public float $roomLeft,
        public float $reachSeconds,
        public bool $fits = true,
        public bool $holdsCompanion = false,
        public array $alsoKinds = [],
    ) {
    }
}
