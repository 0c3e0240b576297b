<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** How full and how heavy a place is, what is wrong with that, and what does not belong in it. */
final readonly class PlaceFacts
{
    /**
     * @param float|null $fullness share of its room that is taken, null where its inside is not known
     * @param bool $isOverFull whether there is no room left to grow
     * @param float|null $load share of what it carries, null where that is not known
     * @param int $things in it, of which the size or weight of $guessed is a guess
     * @param list<string> $warnings
     * @param list<Misfiled> $misfiled
     */
    public function __construct(
        public ?float $fullness,
        public bool $isOverFull,
        public int $grams,
        public ?float $load,
        private int $things,
        private int $guessed,
        public array $warnings,
        public array $misfiled,
    ) {
    }

    public function isOverLoaded(): bool
    {
        return null !== $this->load && $this->load > 1;
    }

    /** What of it is a guess, null where all is measured. */
    public function guess(): ?string
    {
        return match (true) {
            0 === $this->guessed => null,
            $this->guessed < $this->things => \sprintf('of %d of %d things the size or the weight is not known', $this->guessed, $this->things),
            1 === $this->things => 'nobody has measured it',
            default => 'nobody has measured these things',
        };
    }
}
