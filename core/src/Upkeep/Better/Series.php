<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Catalogue\Thing;

/**
 * Tells which places hold a series between them, such as stamps A–G, H–K and L–R: they say the same, are filed in the same way, and each
 * goes on where the one before ends. Nothing is taken out of a series, or put into one, for being nearer.
 */
final readonly class Series
{
    /** Of fewer things nobody can tell. */
    private const LEAST_THINGS = 3;

    /** So many of a hundred at each end may be misfiled. */
    private const ASTRAY = 0.1;

    /** @param array<int, true> $places that are part of one */
    private function __construct(private array $places)
    {
    }

    /**
     * @param list<Household> $households
     * @param array<int, HomePlace> $dwellings by their numbers
     */
    public static function of(array $households, array $dwellings): self
    {
        $things = [];
        foreach ($households as $household) {
            $things[$household->home] = [...$things[$household->home] ?? [], ...$household->things];
        }
        $alike = [];
        foreach ($things as $id => $here) {
            if (\count($here) >= self::LEAST_THINGS && $dwellings[$id]->saysAnything()) {
                $alike[$dwellings[$id]->label().$dwellings[$id]->scheme][] = $id;
            }
        }
        $series = [];
        foreach ($alike as $places) {
            if (\count($places) > 1 && self::isParted(array_map(static fn (int $id): array => $things[$id], $places), $dwellings[$places[0]])) {
                $series += array_fill_keys($places, true);
            }
        }

        return new self($series);
    }

    /** Whether a place is part of one. */
    public function holds(int $place): bool
    {
        return isset($this->places[$place]);
    }

    /** @param non-empty-list<non-empty-list<Thing>> $groups */
    private static function isParted(array $groups, HomePlace $like): bool
    {
        $scheme = $like->scheme;
        $stretches = array_map(static function (array $things) use ($scheme): array {
            $sorted = $scheme->sort($things);
            $astray = (int) floor(self::ASTRAY * \count($sorted));

            return [$sorted[$astray], $sorted[\count($sorted) - 1 - $astray]];
        }, $groups);
        usort($stretches, static fn (array $a, array $b): int => $scheme->compare($a[0], $b[0]));
        for ($i = 1; $i < \count($stretches); ++$i) {
            if ($scheme->compare($stretches[$i - 1][1], $stretches[$i][0]) >= 0) {
                return false;
            }
        }

        return true;
    }
}
