<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;

/** Looks for a scrap from which a piece can be cut. */
final readonly class ScrapSearch
{
    /**
     * @param Lab|null $colour wanted, or null for any
     * @param float $tolerance ΔE00 up to which a colour will do
     * @param float|null $grammage wanted in g/m², or null for any
     * @param float $lighter share by which the weight may differ either way
     */
    public function __construct(
        private ?Lab $colour = null,
        private float $tolerance = 5.0,
        private ?float $grammage = null,
        private float $lighter = 0.15,
        private Trimmer $trimmer = new Trimmer(),
    ) {
    }

    /**
     * Returns the scraps that will do, those with least left over first, then those nearest in colour.
     *
     * @param iterable<Scrap> $scraps
     *
     * @return list<ScrapMatch>
     */
    public function rank(Piece $piece, iterable $scraps): array
    {
        $matches = [];
        foreach ($scraps as $scrap) {
            $match = $this->match($piece, $scrap);
            if (null !== $match) {
                $matches[] = $match;
            }
        }
        usort(
            $matches,
            static fn (ScrapMatch $a, ScrapMatch $b): int => [$a->leftOver, $a->difference ?? 0.0, $a->cuts, $a->scrap->id] <=> [
                $b->leftOver,
                $b->difference ?? 0.0,
                $b->cuts,
                $b->scrap->id,
            ],
        );

        return $matches;
    }

    private function match(Piece $piece, Scrap $scrap): ?ScrapMatch
    {
        $difference = null === $this->colour || null === $scrap->colour ? null : Difference::between($this->colour, $scrap->colour);
        if (null !== $this->colour && (null === $difference || $difference > $this->tolerance)) {
            return null;
        }
        if (null !== $this->grammage && (null === $scrap->grammage || abs($scrap->grammage - $this->grammage) > $this->lighter * $this->grammage)) {
            return null;
        }
        $carver = new Carver($this->trimmer);
        $best = null;
        foreach ($piece->ways() as [$width, $height, $isTurned]) {
            $cuts = (int) ($width !== $scrap->width) + (int) ($height !== $scrap->height);
            if (($isTurned && $scrap->hasDirection) || !$carver->canTrim(new Part(0, 0, $scrap->width, $scrap->height), $width, $height)) {
                continue;
            }
            if (null === $best || $cuts < $best->cuts) {
                $best = new ScrapMatch($scrap, $isTurned, $cuts, $scrap->width * $scrap->height - $piece->area(), $difference);
            }
        }

        return $best;
    }
}
