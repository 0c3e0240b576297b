<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Which of a set of coloured things would balance a palette: those that fit all of its colours and add what is missing. */
final class Balance
{
    private const LIGHTNESS_APART = 0.12;
    private const OPPOSITE_WITHIN = 15;

    /**
     * Returns the things from the best to the worst, with how many degrees they are off harmony at the worst and why they help.
     *
     * @template K of array-key
     *
     * @param list<Srgb> $palette
     * @param array<K, Srgb> $things
     *
     * @return list<array{key: K, off: float, adds: list<string>}>
     */
    public function rank(array $palette, array $things): array
    {
        $ranked = [];
        $own = array_map(OkLch::of(...), $palette);
        $hasNeutral = \in_array(Family::Neutral, array_map(Family::of(...), $palette), true);
        foreach ($things as $key => $colour) {
            $lch = OkLch::of($colour);
            $harmonies = array_map(static fn (OkLch $one): array => Harmony::between($one, $lch), $own);
            $off = max(0.0, ...array_column($harmonies, 1));
            $isFirstNeutral = !$hasNeutral && Family::Neutral === Family::of($colour);
            $ranked[] = ['key' => $key, 'off' => round($off, 3), 'adds' => $this->adds($own, $lch, $harmonies, $isFirstNeutral)];
        }
        usort(
            $ranked,
            static fn (array $a, array $b): int => [-\count($a['adds']) * 15 + $a['off'], $a['off'], (string) $a['key']] <=> [
                -\count($b['adds']) * 15 + $b['off'],
                $b['off'],
                (string) $b['key'],
            ],
        );

        return $ranked;
    }

    /**
     * @param list<OkLch> $palette
     * @param list<array{Harmony, float}> $harmonies of the thing with each of them
     *
     * @return list<string>
     */
    private function adds(array $palette, OkLch $own, array $harmonies, bool $isFirstNeutral): array
    {
        if ([] === $palette) {
            return [];
        }
        $lights = array_map(static fn (OkLch $one): float => $one->l, $palette);
        $hued = array_filter($harmonies, static fn (array $one): bool => Harmony::Neutral !== $one[0]);
        $isOpposite = [] !== $hued
            && [] === array_filter($hued, static fn (array $one): bool => Harmony::Complementary !== $one[0] || $one[1] > self::OPPOSITE_WITHIN);

        return array_values(array_filter([
            $own->l > max($lights) + self::LIGHTNESS_APART ? 'something light' : null,
            $own->l < min($lights) - self::LIGHTNESS_APART ? 'something dark' : null,
            $isFirstNeutral ? 'a resting neutral' : null,
            $isOpposite ? 'an accent opposite the rest' : null,
        ]));
    }
}
