<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * The cuts of a plan in the order in which a person makes them: parts of the same size with the same cut are laid on each
 * other, and all that can be cut at the present setting is cut before the trimmer is set anew. The settings come in an order
 * with the fewest changes; a cut may be measured from either edge.
 */
final readonly class CutSequence
{
    /** @param int $stackHeight how many sheets the trimmer takes together, at least 1 */
    public function __construct(private int $stackHeight)
    {
    }

    /** What one cut takes: set and made, one more at the same setting, and one score, in seconds (typical, from memory). */
    private const SECONDS_SET = 20;
    private const SECONDS_MORE = 8;
    private const SECONDS_SCORE = 10;

    /** @return list<CutStep> */
    public function of(CutPlan $plan): array
    {
        return $this->goOn(array_map(static fn (int $number, CutStock $cut): array => [$number, '1', $cut->root], array_keys($plan->used), $plan->used));
    }

    /**
     * Returns the cuts of parts that lie on the table.
     *
     * @param list<array{int, string, SheetPart}> $parts the number of each one's sheet, and its name there
     * @param int|null $setting what the trimmer is set to now
     *
     * @return list<CutStep>
     */
    public function goOn(array $parts, ?int $setting = null): array
    {
        $open = array_values(array_filter($parts, static fn (array $part): bool => null !== $part[2]->first));
        $steps = [];
        $order = (new SettingOrder())->after(array_column($open, 2), $setting);
        while ([] !== $open) {
            $here = array_filter($open, static fn (array $part): bool => null !== $setting && \in_array($setting, $part[2]->settings(), true));
            $isNew = [] === $here;
            if ($isNew) {
                $setting = (int) array_shift($order);
                $here = array_filter($open, static fn (array $part): bool => \in_array($setting, $part[2]->settings(), true));
            }
            $stack = $this->stack($here);
            $part = $open[$stack[0]][2];
            $steps[] = new CutStep(
                (int) $setting,
                $this->edge($part, (int) $setting),
                array_map(static fn (int $at): array => [$open[$at][0], $open[$at][1]], $stack),
                $isNew,
                $part->width,
                $part->height,
                $part->isCutAlongX,
            );
            $open = $this->after($open, $stack);
        }

        return $steps;
    }

    /** Returns how often the trimmer is set in a sequence. */
    public static function settingsOf(CutStep ...$steps): int
    {
        return \count(array_filter($steps, static fn (CutStep $step): bool => $step->isNewSetting));
    }

    /**
     * Returns what a copy shop takes that prices each cut of a whole stack, in cents.
     *
     * @param list<CutStep> $steps
     */
    public static function price(array $steps, int $centsPerCut): int
    {
        return \count($steps) * $centsPerCut;
    }

    /**
     * Returns about how long the cuts take at home, in seconds.
     *
     * @param list<CutStep> $steps
     */
    public static function seconds(array $steps, int $scores): int
    {
        $settings = self::settingsOf(...$steps);

        return $settings * self::SECONDS_SET + (\count($steps) - $settings) * self::SECONDS_MORE + $scores * self::SECONDS_SCORE;
    }

    /**
     * Returns as many parts of one size and one cut as lie on each other at once.
     *
     * @param array<int, array{int, string, SheetPart}> $here
     *
     * @return non-empty-list<int>
     */
    private function stack(array $here): array
    {
        $groups = [];
        foreach ($here as $at => [, , $part]) {
            \assert(null !== $part->first);
            $groups[implode('/', [$part->width, $part->height, (int) $part->isCutAlongX, $part->first->width, $part->first->height])][] = $at;
        }
        $largest = [array_key_first($here) ?? 0];
        foreach ($groups as $group) {
            $largest = \count($group) > \count($largest) ? $group : $largest;
        }

        return [$largest[0], ...\array_slice($largest, 1, max(0, $this->stackHeight - 1))];
    }

    private function edge(SheetPart $part, int $setting): string
    {
        \assert(null !== $part->first);
        if ($part->isCutAlongX) {
            return $part->first->width === $setting ? 'left' : 'right';
        }

        return $part->first->height === $setting ? 'upper' : 'lower';
    }

    /**
     * @param list<array{int, string, SheetPart}> $open
     * @param list<int> $cut
     *
     * @return list<array{int, string, SheetPart}>
     */
    private function after(array $open, array $cut): array
    {
        $made = [];
        foreach ($cut as $at) {
            [$number, $name, $part] = $open[$at];
            unset($open[$at]);
            \assert(null !== $part->first && null !== $part->second);
            $made[] = [$number, $name.'.1', $part->first];
            $made[] = [$number, $name.'.2', $part->second];
        }

        return [...$open, ...array_values(array_filter($made, static fn (array $part): bool => null !== $part[2]->first))];
    }
}
