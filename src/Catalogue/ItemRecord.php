<?php

declare(strict_types=1);

namespace App\Catalogue;

use Lottel\Core\Catalogue\Kind;

/** What is written down about an item, apart from where it is at home and how it is counted. Sides in ticks. */
final readonly class ItemRecord
{
    /**
     * @param list<string> $themes
     * @param string|null $colour as #rrggbb
     * @param list<string> $hazards
     * @param array<string, string> $details what is known of its kind alone, by field
     */
    public function __construct(
        public string $name,
        public Kind $kind,
        public string $maker,
        public array $themes,
        public ?string $colour,
        public string $colourName,
        public bool $isMulticolour,
        public string $sentiments,
        public string $note,
        public array $hazards,
        public string $collection,
        public string $season,
        public ?int $width,
        public ?int $height,
        public ?int $depth,
        public ?int $grams,
        public array $details,
    ) {
    }
}
