<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

use Lottel\Core\Measure\Length;

/** What filing needs to know about an item. */
final readonly class Thing
{
    /**
     * @param list<string> $themes
     * @param int|null $size its area in square millimetres, small things are filed first
     * @param string $season when it is used, in the order of the year from `spring`
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $maker = '',
        public Kind $kind = Kind::Other,
        public array $themes = [],
        public ?string $colour = null,
        public bool $isMulticolour = false,
        public string $collection = '',
        public ?int $size = null,
        public string $season = '',
    ) {
    }

    /** Returns the area of two sides in square millimetres, each side rounded down to a whole one; null where one is not known. */
    public static function areaOf(?Length $width, ?Length $height): ?int
    {
        return null === $width || null === $height ? null : $width->wholeMillimetres() * $height->wholeMillimetres();
    }
}
