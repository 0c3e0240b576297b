<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\Sheet;

/** What is written down about an item, apart from where it is at home and how it is counted. Sides in ticks. */
final readonly class ItemRecord
{
    /**
     * @param list<string> $themes
     * @param string|null $colour as #rrggbb
     * @param list<string> $hazards
     * @param array<string, string> $details what is known of its kind alone, by field
     * @param CutSizes|null $cutSizes of a die; null where nobody has said
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
        public Sheet $sheet = new Sheet(),
        public ?CutSizes $cutSizes = null,
    ) {
    }

    /**
     * The same but for what is given.
     *
     * @param list<string>|null $themes
     * @param string|false|null $colour false where it stays as it is
     * @param list<string>|null $hazards
     * @param array<string, string>|null $details
     */
    public function with(
        ?string $name = null,
        ?Kind $kind = null,
        ?string $maker = null,
        ?array $themes = null,
        string|false|null $colour = false,
        ?string $colourName = null,
        ?string $sentiments = null,
        ?string $note = null,
        ?array $hazards = null,
        ?string $collection = null,
        ?string $season = null,
        ?int $grams = null,
        ?array $details = null,
        ?Sheet $sheet = null,
        ?CutSizes $cutSizes = null,
    ): self {
        return new self(
            $name ?? $this->name,
            $kind ?? $this->kind,
            $maker ?? $this->maker,
            $themes ?? $this->themes,
            false === $colour ? $this->colour : $colour,
            $colourName ?? $this->colourName,
            $this->isMulticolour,
            $sentiments ?? $this->sentiments,
            $note ?? $this->note,
            $hazards ?? $this->hazards,
            $collection ?? $this->collection,
            $season ?? $this->season,
            $this->width,
            $this->height,
            $this->depth,
            $grams ?? $this->grams,
            $details ?? $this->details,
            $sheet ?? $this->sheet,
            $cutSizes ?? $this->cutSizes,
        );
    }

    public function coloured(?string $colour): self
    {
        return $this->with(colour: $colour);
    }

    public function measured(Sheet $sheet): self
    {
        return $this->with(sheet: $sheet);
    }

    public function cutting(?CutSizes $sizes): self
    {
        return $this->with(cutSizes: $sizes ?? CutSizes::of([]));
    }
}
