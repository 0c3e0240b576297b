<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Room\Catalogue\ThingLine;

/** A place with what in it is not used. */
final readonly class UnusedPlace
{
    /**
     * @param list<ThingLine> $things a few of them
     * @param int|null $percent of what it should hold, that the idle things take up; null where it is not measured
     */
    public function __construct(
        public int $id,
        public string $address,
        public string $title,
        public int $many,
        public array $things,
        public float $litres,
        public ?int $percent,
    ) {
    }
}
