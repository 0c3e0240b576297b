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

    /** @param list<string>|null $themes */
    public function with(
        ?string $name = null,
        ?string $maker = null,
        ?array $themes = null,
        ?string $sentiments = null,
        ?string $note = null,
    ): self {
        return $this->copy($name, $maker, $themes, $this->colour, $sentiments, $note);
    }

    public function coloured(?string $colour): self
    {
        return $this->copy(null, null, null, $colour, null, null);
    }

    public function measured(Sheet $sheet): self
    {
        return $this->copy(null, null, null, $this->colour, null, null, $sheet);
    }

    public function cutting(?CutSizes $sizes): self
    {
        return $this->copy(null, null, null, $this->colour, null, null, null, $sizes ?? CutSizes::of([]));
    }

    /** @param list<string>|null $themes */
    private function copy(
        ?string $name,
        ?string $maker,
        ?array $themes,
        ?string $colour,
        ?string $sentiments,
        ?string $note,
        ?Sheet $sheet = null,
        ?CutSizes $cutSizes = null,
    ): self {
        return new self(
            $name ?? $this->name,
            $this->kind,
            $maker ?? $this->maker,
            $themes ?? $this->themes,
            $colour,
            $this->colourName,
            $this->isMulticolour,
            $sentiments ?? $this->sentiments,
            $note ?? $this->note,
            $this->hazards,
            $this->collection,
            $this->season,
            $this->width,
            $this->height,
            $this->depth,
            $this->grams,
            $this->details,
            $sheet ?? $this->sheet,
            $cutSizes ?? $this->cutSizes,
        );
    }
}
