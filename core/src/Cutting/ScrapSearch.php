<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;

/** Looks for a scrap from which a piece can be cut. */
final class ScrapSearch
{
    private const SLACK = 1e-9;

    /** @var array<string, float> ΔE00 by colour: many scraps are of one paper */
    private array $differences = [];

    /**
     * @param Lab|null $colour wanted, or null for any
     * @param float $tolerance ΔE00 up to which a colour will do
     * @param float|null $grammage wanted in g/m², or null for any
     * @param float $share by which the weight may differ either way
     */
    public function __construct(
        private readonly ?Lab $colour = null,
        private readonly float $tolerance = Difference::PASSES,
        private readonly ?float $grammage = null,
        private readonly float $share = 0.15,
    ) {
    }

    /**
     * Returns the scraps that will do, those with least left over first, then those nearest in colour, then by their ids; and
     * those that fail in one thing alone. Where a piece would lie inside one way round, but its direction forbids that, it is
     * the direction in which the scrap fails, and not the size.
     *
     * @param iterable<Scrap> $scraps
     */
    public function among(WantedPiece $piece, iterable $scraps): FoundScraps
    {
        $matches = $near = [];
        foreach ($scraps as $scrap) {
            $difference = $this->difference($scrap);
            $failed = array_filter([
                $this->hasColour($difference) ? null : MissReason::Colour,
                $this->hasWeight($scrap) ? null : MissReason::Weight,
            ]);
            if (\count($failed) > 1) {
                continue;
            }
            [$misfit, $isTurned] = self::lies($piece, $scrap);
            $failed = array_values(array_filter([...$failed, $misfit]));
            if ([] === $failed) {
                $matches[] = new ScrapMatch($scrap, $isTurned, $scrap->doubledArea() - 2 * $piece->area(), $difference);
            } elseif (1 === \count($failed)) {
                $near[] = new NearMiss($scrap, $failed[0], $difference, self::short($piece, $scrap));
            }
        }
        usort($matches, self::order(...));
        usort($near, static fn (NearMiss $a, NearMiss $b): int => strcmp($a->scrap->id, $b->scrap->id));

        return new FoundScraps($matches, $near);
    }

    private static function order(ScrapMatch $a, ScrapMatch $b): int
    {
        return [$a->doubledLeftOver, $a->difference ?? 0.0] <=> [$b->doubledLeftOver, $b->difference ?? 0.0] ?: strcmp($a->scrap->id, $b->scrap->id);
    }

    /** @return array{MissReason|null, bool} why it cannot lie there, and whether it can only lie turned */
    private static function lies(WantedPiece $piece, Scrap $scrap): array
    {
        $isForbidden = false;
        foreach ([false, true] as $isTurned) {
            if (!$scrap->holds(...$piece->sides($isTurned))) {
                continue;
            }
            if ($piece->direction->mayLie($scrap->direction, $isTurned)) {
                return [null, $isTurned];
            }
            $isForbidden = true;
        }

        return [$isForbidden ? MissReason::Direction : MissReason::Size, false];
    }

    private static function short(WantedPiece $piece, Scrap $scrap): ?int
    {
        if (null !== $scrap->outline) {
            return null;
        }
        $lacks = [];
        foreach ([false, true] as $isTurned) {
            [$width, $height] = $piece->sides($isTurned);
            if ($piece->direction->mayLie($scrap->direction, $isTurned)) {
                $lacks[] = max($width - $scrap->width, $height - $scrap->height);
            }
        }

        return [] === $lacks || min($lacks) <= 0 ? null : min($lacks);
    }

    private function difference(Scrap $scrap): ?float
    {
        if (null === $this->colour || null === $scrap->colour) {
            return null;
        }
        $key = $scrap->colour->l.' '.$scrap->colour->a.' '.$scrap->colour->b;

        return $this->differences[$key] ??= Difference::between($this->colour, $scrap->colour);
    }

    private function hasColour(?float $difference): bool
    {
        return null === $this->colour || (null !== $difference && $difference <= $this->tolerance);
    }

    private function hasWeight(Scrap $scrap): bool
    {
        $allowed = $this->share * (float) $this->grammage;

        return null === $this->grammage
            || (null !== $scrap->grammage && abs($scrap->grammage - $this->grammage) <= $allowed + self::SLACK * $this->grammage);
    }
}
