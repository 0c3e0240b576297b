<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * Puts the trimmer's settings in an order with the fewest changes. At each setting all is cut that can be; what is then in
 * hand is the state. All states after one setting, after two, and so on, are gone through until one has nothing left to cut.
 *
 * The fewest there are where $isProven stays true; with very many different cuts only the states with least left are followed.
 */
final class SettingOrder
{
    private const MOST_STATES = 300;

    public bool $isProven = true;

    /** @var list<array{array{int, int}, list<int>}> the two settings of each kind of part, and the kinds that its cut makes */
    private array $kinds = [];

    /** @var array<string, int> */
    private array $known = [];

    /** @var list<int> cuts in and under each kind of part */
    private array $cuts = [];

    /** @return list<int> */
    public function of(CutPlan $plan): array
    {
        return $this->after(array_map(static fn (CutStock $cut): SheetPart => $cut->root, $plan->used), null);
    }

    /**
     * Returns the settings that follow the present one, at which all is cut first that can be.
     *
     * @param list<SheetPart> $parts
     *
     * @return list<int>
     */
    public function after(array $parts, ?int $setting): array
    {
        $start = [];
        foreach ($parts as $part) {
            $kind = $this->kind($part);
            if (null !== $kind) {
                $start[$kind] = true;
            }
        }
        $start = null === $setting ? $start : $this->cutAll(array_keys($start), $setting);
        $states = [$this->key($start) => [array_keys($start), []]];
        while (!isset($states[''])) {
            $next = [];
            foreach ($states as [$kinds, $order]) {
                foreach ($this->settings($kinds) as $following) {
                    $after = $this->cutAll($kinds, $following);
                    $next[$this->key($after)] ??= [array_keys($after), [...$order, $following]];
                }
            }
            $states = $this->promising($next);
        }

        return $states[''][1];
    }

    /** Returns the number of a kind of part, the same for all that are cut alike; null where it is not cut. */
    private function kind(SheetPart $part): ?int
    {
        if (null === $part->first || null === $part->second) {
            return null;
        }
        $parts = array_values(array_filter([$this->kind($part->first), $this->kind($part->second)], is_int(...)));
        sort($parts);
        [$one, $other] = $part->settings() + [0, 0];
        $settings = [min($one, $other), max($one, $other)];
        $key = implode(' ', [...$settings, ...$parts]);
        if (!isset($this->known[$key])) {
            $this->known[$key] = \count($this->kinds);
            $this->kinds[] = [$settings, $parts];
            $this->cuts[] = 1 + array_sum(array_map(fn (int $kind): int => $this->cuts[$kind], $parts));
        }

        return $this->known[$key];
    }

    /**
     * @param list<int> $kinds
     *
     * @return list<int> the settings at which something can be cut, those that cut most and the longest first
     */
    private function settings(array $kinds): array
    {
        $settings = [];
        foreach ($kinds as $kind) {
            foreach ($this->kinds[$kind][0] as $setting) {
                $settings[$setting] = ($settings[$setting] ?? 0) + 1;
            }
        }
        krsort($settings);
        arsort($settings);

        return array_keys($settings);
    }

    /**
     * @param list<int> $kinds
     *
     * @return array<int, true>
     */
    private function cutAll(array $kinds, int $setting): array
    {
        $left = [];
        while ([] !== $kinds) {
            $kind = array_pop($kinds);
            if (\in_array($setting, $this->kinds[$kind][0], true)) {
                array_push($kinds, ...$this->kinds[$kind][1]);
            } else {
                $left[$kind] = true;
            }
        }

        return $left;
    }

    /** @param array<int, true> $kinds */
    private function key(array $kinds): string
    {
        ksort($kinds);

        return implode(' ', array_keys($kinds));
    }

    /**
     * @param array<string, array{list<int>, list<int>}> $states
     *
     * @return array<string, array{list<int>, list<int>}>
     */
    private function promising(array $states): array
    {
        if (isset($states['']) || \count($states) <= self::MOST_STATES) {
            return $states;
        }
        $this->isProven = false;
        uasort($states, fn (array $a, array $b): int => $this->left($a[0]) <=> $this->left($b[0]));

        return \array_slice($states, 0, self::MOST_STATES, true);
    }

    /** @param list<int> $kinds */
    private function left(array $kinds): int
    {
        return array_sum(array_map(fn (int $kind): int => $this->cuts[$kind], $kinds));
    }
}
