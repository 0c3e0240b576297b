<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Room\Stores\PlaceRow;
use Lottel\Core\Filing\FilingPosition;

/** What a stop of a round needs to know of its place: how things stand there, and of each of its things where, and what goes with it. */
final readonly class AtStop
{
    private const MOST_COMPANIONS = 2;
    private const MOST_LIKE = 6;

    /**
     * @param PlaceRow|null $place null for the heap of what is not filed
     * @param list<ThingRow> $contents
     * @param array<int, FilingPosition> $positions by item
     * @param array<int, list<CompanionRow>> $companions by item
     */
    public function __construct(
        public ?PlaceRow $place,
        public string $filedBy,
        private array $contents,
        public Strip $strip,
        private array $positions,
        private array $companions,
        public ?PlacePhoto $photo,
    ) {
    }

    public function positionOf(int $item): FilingPosition
    {
        return $this->positions[$item];
    }

    /** @return list<CompanionRow> a few that have a home */
    public function companionsOf(int $item): array
    {
        $atHome = array_filter($this->companions[$item] ?? [], static fn (CompanionRow $companion): bool => null !== $companion->thing->home);

        return \array_slice(array_values($atHome), 0, self::MOST_COMPANIONS);
    }

    /** @return list<ThingRow> a few things in here that can be taken instead of another one */
    public function insteadOf(ThingLine $line): array
    {
        $alike = array_filter(
            $this->contents,
            static fn (ThingRow $other): bool => $other->id !== $line->id
                && $other->thing->kind === $line->kind
                && $other->tracking->canReplace($line->tracking),
        );

        return \array_slice(array_values($alike), 0, self::MOST_LIKE);
    }
}
