<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Handling;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\ChildReach;
use Lottel\Core\Homes\Fit;

/**
 * Whether things may live in another place than now. A series stays together: what lives by its maker, theme or colour moves only to a
 * place that says the same. Nothing goes to where it does not fit, is out of season, within children's reach against the rule, heavy
 * above the shoulder, or too heavy for the runners.
 */
final class MayLive
{
    /** @var array<string, bool> */
    private array $fits = [];

    public function __construct(private readonly Fit $fit = new Fit())
    {
    }

    /** Returns why not; null where it may. What else moves in or out is not looked at. */
    public function why(Household $household, HomePlace $from, HomePlace $to): ?string
    {
        return $this->whyByLabel($household, $from, $to) ?? $this->whyThere($household, $from, $to);
    }

    /** Returns why its things do not belong by what the two places say; null where they do. */
    public function whyByLabel(Household $household, HomePlace $from, HomePlace $to): ?string
    {
        foreach ($household->things as $thing) {
            $why = $to->says->excludes($thing)
                ?? self::whyKeptForOthers($thing, $to->says)
                ?? self::whyOutOfSeries($thing, $from->says, $to->says)
                ?? self::whyOutOfSeason($thing, $from, $to);
            if (null !== $why) {
                return $why;
            }
        }

        return null;
    }

    /** Returns why a place that they belong in cannot take them; null where it can. */
    public function whyThere(Household $household, HomePlace $from, HomePlace $to): ?string
    {
        if (!$to->takesIn || null === $to->inside || null === $to->capacity) {
            return 'not measured, or for new things only';
        }
        if ($this->isHeavyTooHigh($household, $from, $to)) {
            return 'heavy, and too high';
        }
        if (\count($this->endangered($household, $to)) > \count($this->endangered($household, $from))) {
            return 'within children’s reach';
        }
        if (!$this->fits($household, $to->inside)) {
            return 'too large for it';
        }

        return $to->capacity->carries($to->contents->plus($household->contents)) ? null : 'too heavy for it';
    }

    private static function whyKeptForOthers(Thing $thing, Belonging $there): ?string
    {
        return match (true) {
            '' !== $there->maker && '' === $thing->maker => 'kept for '.$there->maker,
            '' !== $there->theme && [] === $thing->themes => 'kept for '.$there->theme,
            '' !== $there->colour && null === $thing->colour && !$thing->isMulticolour => 'kept for '.$there->colour,
            default => null,
        };
    }

    private static function whyOutOfSeries(Thing $thing, Belonging $here, Belonging $there): ?string
    {
        if (null !== $here->excludes($thing)) {
            return null;
        }

        return match (true) {
            '' !== $here->maker && $here->maker !== $there->maker => 'its series is by '.$here->maker,
            '' !== $here->theme && $here->theme !== $there->theme => 'its series is '.$here->theme,
            '' !== $here->colour && $here->colour !== $there->colour => 'its series is '.$here->colour,
            default => null,
        };
    }

    private static function whyOutOfSeason(Thing $thing, HomePlace $from, HomePlace $to): ?string
    {
        return match (true) {
            '' !== $to->season && $to->season !== $thing->season => 'kept for '.$to->season,
            '' !== $from->season && $from->season === $thing->season && $to->season !== $from->season => 'its place is kept for '.$from->season,
            default => null,
        };
    }

    private function isHeavyTooHigh(Household $household, HomePlace $from, HomePlace $to): bool
    {
        return \in_array(Hazard::Heavy, $household->hazards, true) && Capacity::isAboveShoulder($to->heightMm) && $to->heightMm > $from->heightMm;
    }

    /** @return list<Hazard> */
    private function endangered(Household $household, HomePlace $place): array
    {
        return ChildReach::endangers($household->hazards, $place->isChildSafe, $place->heightMm);
    }

    private function fits(Household $household, Box $inside): bool
    {
        foreach ($household->boxes as $i => $box) {
            $handling = Handling::ofKind($household->things[$i]->kind ?? $household->things[0]->kind);
            $key = implode(' ', [...self::sides($box), ...self::sides($inside), (int) $handling->mayLie, (int) $handling->mayRoll, $handling->folds]);
            if (!($this->fits[$key] ??= null !== $this->fit->way($box, $inside, $handling))) {
                return false;
            }
        }

        return true;
    }

    /** @return array{int, int, int} */
    private static function sides(Box $box): array
    {
        return [$box->width->ticks, $box->height->ticks, $box->depth->ticks];
    }
}
