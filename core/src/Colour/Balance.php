<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Which of a set of coloured things would balance a palette: those that fit all of its colours and add what is missing. */
final class Balance
{
    private const LIGHTNESS_APART = 0.12;

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
        foreach ($things as $key => $colour) {
            $off = 0.0;
            foreach ($palette as $one) {
                $off = max($off, Harmony::nearest($one, $colour)[1]);
            }
            $ranked[] = ['key' => $key, 'off' => round($off, 3), 'adds' => $this->adds($palette, $colour)];
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
     * @param list<Srgb> $palette
     *
     * @return list<string>
     */
    private function adds(array $palette, Srgb $colour): array
    {
        if ([] === $palette) {
            return [];
        }
        $own = OkLch::of($colour);
        $lights = array_map(static fn (Srgb $one): float => OkLch::of($one)->l, $palette);
        $adds = [];
        if ($own->l > max($lights) + self::LIGHTNESS_APART) {
            $adds[] = 'something light';
        }
        if ($own->l < min($lights) - self::LIGHTNESS_APART) {
            $adds[] = 'something dark';
        }
        $families = array_map(static fn (Srgb $one): Family => Family::of($one), $palette);
        if (Family::Neutral === Family::of($colour) && !\in_array(Family::Neutral, $families, true)) {
            $adds[] = 'a resting neutral';
        }
        foreach ($palette as $one) {
            if (Harmony::Complementary === Harmony::nearest($one, $colour)[0] && Harmony::nearest($one, $colour)[1] <= 15) {
                $adds[] = 'an accent opposite the rest';
                break;
            }
        }

        return $adds;
    }
}
