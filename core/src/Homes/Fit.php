<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Catalogue\Handling;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Measure\Length;

/** Whether, and how, a thing fits a place. */
final class Fit
{
    /** A roll is at least so wide, in millimetres; tighter, paper keeps its curl (common practice, no source). */
    private const LEAST_ROLL_MM = 50;

    /** Returns the first way that fits: “as it stands”, “turned”, “on its side”, “folded once” or “rolled”; null where none does. */
    public function way(Box $thing, Box $place, Handling $handling): ?string
    {
        foreach ($this->orientations($thing, $handling) as $way => $box) {
            if ($box->isWithin($place)) {
                return $way;
            }
        }
        $folded = $thing;
        for ($fold = 1; $fold <= $handling->folds; ++$fold) {
            $folded = $this->folded($folded);
            foreach ($this->orientations($folded, $handling) as $box) {
                if ($box->isWithin($place)) {
                    return 'folded '.['', 'once', 'twice', 'three times'][min(3, $fold)];
                }
            }
        }

        return $handling->mayRoll && $this->fitsRolled($thing, $place, $handling) ? 'rolled' : null;
    }

    /** Whether a thing is known not to fit: where one of the two is not measured, nothing is known. */
    public function isTooLarge(?Box $thing, ?Box $place, Handling $handling): bool
    {
        return null !== $thing && null !== $place && null === $this->way($thing, $place, $handling);
    }

    /** @return iterable<string, Box> */
    private function orientations(Box $thing, Handling $handling): iterable
    {
        [$w, $h, $d] = [$thing->width, $thing->height, $thing->depth];
        yield 'as it stands' => $thing;
        yield 'turned' => new Box($d, $h, $w);
        if ($handling->mayLie) {
            yield 'on its side' => new Box($h, $w, $d);
            yield 'on its side, turned' => new Box($d, $w, $h);
            yield 'flat' => new Box($w, $d, $h);
            yield 'flat, turned' => new Box($h, $d, $w);
        }
    }

    /** Halves the longest side and doubles the shortest. */
    private function folded(Box $thing): Box
    {
        $sides = [$thing->width->ticks, $thing->height->ticks, $thing->depth->ticks];
        $longest = (int) array_search(max($sides), $sides, true);
        $shortest = (int) array_search(min($sides), $sides, true);
        $sides[$longest] = intdiv($sides[$longest] + 1, 2);
        $sides[$shortest] *= 2;

        return new Box(Length::ofTicks($sides[0]), Length::ofTicks($sides[1]), Length::ofTicks($sides[2]));
    }

    private function fitsRolled(Box $thing, Box $place, Handling $handling): bool
    {
        $sides = [$thing->width->ticks, $thing->height->ticks, $thing->depth->ticks];
        sort($sides);
        $round = Length::ofTicks(max(self::LEAST_ROLL_MM * Length::TICKS_PER_MILLIMETRE, 2 * $sides[0]));
        $roll = new Box(Length::ofTicks($sides[1]), $round, $round);

        return null !== $this->way($roll, $place, new Handling($handling->mayLie));
    }
}
