<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

/** The finished pieces for one occasion. */
final readonly class ShelfGroup
{
    /** @param non-empty-list<ShelfPiece> $pieces */
    private function __construct(public string $word, public array $pieces)
    {
    }

    /**
     * @param list<ShelfPiece> $pieces
     *
     * @return list<self> in the order in which their words come first
     */
    public static function each(array $pieces): array
    {
        $groups = [];
        foreach ($pieces as $piece) {
            $groups['='.$piece->word][] = $piece;
        }

        return array_values(array_map(static fn (array $own): self => new self($own[0]->word, $own), $groups));
    }

    public function home(): ?string
    {
        return $this->pieces[0]->thing->home;
    }

    public function many(): int
    {
        return array_sum(array_map(static fn (ShelfPiece $piece): int => $piece->there, $this->pieces));
    }
}
