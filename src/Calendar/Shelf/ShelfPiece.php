<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Room\Catalogue\ThingLine;
use Lottel\Core\Colour\OkLch;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Picture\StandIn;

/** A finished piece on the shelf. */
final readonly class ShelfPiece
{
    /**
     * @param string $word the occasion that it is for
     * @param int $there how many lie ready
     * @param list<AsideFor> $aside for which days some of them are kept
     * @param list<string> $colours hex, of what it was made of, those of papers first
     * @param int $papers how many of these are of papers
     */
    public function __construct(
        public ThingLine $thing,
        public string $word,
        public int $there,
        public array $aside,
        public array $colours,
        private int $papers,
        public ?\DateTimeImmutable $madeAt,
        public string $measures,
        public bool $isPage,
    ) {
    }

    /** What stands in for its photo: in the strongest colour of its papers; of what lies on them where no paper has one. */
    public function face(): StandIn
    {
        $colours = $this->papers > 0 ? \array_slice($this->colours, 0, $this->papers) : $this->colours;
        usort($colours, static fn (string $a, string $b): int => OkLch::of(Srgb::ofHex($b))->c <=> OkLch::of(Srgb::ofHex($a))->c);

        return $this->thing->standIn()->coloured($colours[0] ?? null);
    }

    public function free(): int
    {
        return max(0, $this->there - \count($this->aside));
    }
}
