<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

/** What the pieces of a kit were made of. */
final readonly class SupplyList
{
    /**
     * @param int $made how many pieces the kit made
     * @param list<Supply> $lines
     * @param list<string> $cuts
     */
    public function __construct(public ?int $kit, public string $name, public int $made, public array $lines, public array $cuts)
    {
    }

    /** What one piece cost in cents, as far as prices are known; null where none is. */
    public function centsEach(): ?int
    {
        $known = array_filter(array_map(static fn (Supply $one): ?int => $one->cents, $this->used()), is_int(...));

        return [] === $known || 0 === $this->made ? null : (int) round(array_sum($known) / $this->made);
    }

    /** How many of the things that were used up have no price. */
    public function withoutPrice(): int
    {
        return \count(array_filter($this->used(), static fn (Supply $one): bool => null === $one->cents));
    }

    /** @return list<Supply> */
    public function used(): array
    {
        return array_values(array_filter($this->lines, static fn (Supply $one): bool => $one->used > 0));
    }

    /** As text to paste. */
    public function text(string $of): string
    {
        $line = static fn (Supply $one): string => '– '.implode(', ', array_filter([
            trim($one->quantity.' '.$one->name),
            $one->maker,
            '' !== $one->colourName && !str_contains(mb_strtolower($one->name), mb_strtolower($one->colourName)) ? $one->colourName : '',
        ], static fn (string $part): bool => '' !== $part));
        $with = array_values(array_filter($this->lines, static fn (Supply $one): bool => 0 === $one->used));

        return implode("\n", [
            $of.' ('.$this->made.' made)',
            ...array_map($line, $this->used()),
            ...([] === $with ? [] : ['Worked with:', ...array_map($line, $with)]),
            ...([] === $this->cuts ? [] : ['Cut:', ...array_map(static fn (string $cut): string => '– '.$cut, $this->cuts)]),
        ])."\n";
    }
}
