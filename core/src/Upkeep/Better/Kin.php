<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Filing\SortBy;

/**
 * Whether a place holds anything of a thing's own: a drawer of blues that is filed by colour takes no white, and one that says nothing
 * takes only kinds that live in it already, or in its unit where it is empty.
 */
final readonly class Kin
{
    /** Of fewer things in a filed place nobody can tell. */
    private const LEAST_THINGS = 3;

    /**
     * @param array<int, array<string, true>> $known what the things of a place are of, by the first criterion of its scheme
     * @param array<int, array<string, true>> $kinds of the things of a place
     * @param array<int, array<string, true>> $kindsOfUnits
     */
    private function __construct(private array $known, private array $kinds, private array $kindsOfUnits)
    {
    }

    /**
     * @param list<Household> $households
     * @param array<int, HomePlace> $dwellings by their numbers
     */
    public static function of(array $households, array $dwellings): self
    {
        $known = $kinds = $kindsOfUnits = $things = [];
        foreach ($households as $household) {
            $home = $household->home;
            foreach ($household->things as $thing) {
                $things[$home] = 1 + ($things[$home] ?? 0);
                $kinds[$home][$thing->kind->value] = $kindsOfUnits[$dwellings[$home]->unit][$thing->kind->value] = true;
                foreach (self::values($thing, $dwellings[$home]->scheme->criteria[0]) as $value) {
                    $known[$home][$value] = true;
                }
            }
        }

        $isTold = static fn (int $home): bool => $things[$home] >= self::LEAST_THINGS;

        return new self(array_filter($known, $isTold, \ARRAY_FILTER_USE_KEY), $kinds, $kindsOfUnits);
    }

    public function has(Household $household, HomePlace $place): bool
    {
        $criterion = $place->scheme->criteria[0];
        $kinds = $this->kinds[$place->id] ?? $this->kindsOfUnits[$place->unit] ?? null;
        foreach ($household->things as $thing) {
            $isKind = $place->saysAnything() || isset(($kinds ?? [$thing->kind->value => true])[$thing->kind->value]);
            $isFiled = !isset($this->known[$place->id]) || self::isOrderOnly($criterion)
                || [] !== array_intersect(self::values($thing, $criterion), array_keys($this->known[$place->id]));
            if (!$isKind || !$isFiled) {
                return false;
            }
        }

        return true;
    }

    /** Whether it puts things in order and parts them into no kinds. */
    private static function isOrderOnly(SortBy $criterion): bool
    {
        return [] === self::values(new Thing(0, ''), $criterion);
    }

    /** @return list<string> */
    private static function values(Thing $thing, SortBy $criterion): array
    {
        return match ($criterion) {
            SortBy::Colour => [match (true) {
                $thing->isMulticolour => 'multicolour',
                null === $thing->colour => 'none',
                default => Family::of(Srgb::ofHex($thing->colour))->value,
            }],
            SortBy::Maker => [$thing->maker],
            SortBy::Theme => [] === $thing->themes ? [''] : $thing->themes,
            SortBy::Collection => [$thing->collection],
            SortBy::Season => [$thing->season],
            SortBy::Kind => [$thing->kind->value],
            SortBy::Name, SortBy::Size => [],
        };
    }
}
