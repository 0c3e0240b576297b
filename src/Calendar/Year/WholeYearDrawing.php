<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\Svg;
use Lottel\Core\Year\WeekLoad;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** All weeks of a year as spines on a shelf: as high as they are full, their dates standing on top. In pixels. */
final readonly class WholeYearDrawing
{
    private const WIDTH = 856.0;
    private const BASE = 250.0;
    private const HIGHEST = 150.0;
    private const DOT = 13.0;
    private const MOST_DOTS = 5;
    private const HEIGHT = 292.0;
    private const WEEKS_OF_A_LABEL = 3;

    /** A week of so many minutes is as high as the drawing goes, or the fullest one where that is more. */
    private const HIGH = 300;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    public function drawn(YearPage $page): string
    {
        $most = max(self::HIGH, ...array_map(static fn (WeekLoad $load): int => max($load->free, $load->planned, $load->wanted), $page->weeks), ...[0]);
        $weeks = array_map(static fn (int $nth): WeekInYear => WeekInYear::of($page, $nth), range(0, $page->many - 1));
        $wide = self::WIDTH / $page->many;
        $svg = \sprintf('<path class="whole-board" d="M0 %.1fH%.1f"/>', self::BASE + 2, self::WIDTH);
        [$month, $free] = ['', 0];
        for ($nth = 0; $nth < $page->many; ++$nth) {
            $week = $weeks[$nth];
            $svg .= $this->week($week, $nth * $wide, $wide, $most);
            $name = $week->monday->plus(6)->date()->format('M');
            if ($name !== $month && $nth >= $free) {
                $svg .= \sprintf('<text class="year-week" x="%.1f" y="%.1f">%s</text>', $nth * $wide + 1, self::BASE + 26, $name);
                [$month, $free] = [$name, $nth + self::WEEKS_OF_A_LABEL];
            }
        }

        return \sprintf(
            '<svg class="whole-year" viewBox="0 %.0f %.0f %.0f" role="group" aria-label="%s">%s</svg>',
            $top = self::top($weeks),
            self::WIDTH,
            self::HEIGHT - $top,
            Svg::escape(\sprintf('%d weeks from %s', $page->many, $page->first->date()->format('j F Y'))),
            $svg,
        );
    }

    /**
     * Above the highest week, with its dates, there is nothing.
     *
     * @param list<WeekInYear> $weeks
     */
    private static function top(array $weeks): float
    {
        $many = max([0, ...array_map(static fn (WeekInYear $week): int => \count($week->dates), $weeks)]);

        return self::BASE - self::HIGHEST - 12 - self::DOT * min(self::MOST_DOTS, $many);
    }

    private function week(WeekInYear $week, float $x, float $wide, int $most): string
    {
        $height = static fn (int $minutes): float => self::HIGHEST * min(1.0, $minutes / $most);
        [$free, $planned, $wanted] = [$week->load->free ?? 0, $week->load->planned ?? 0, $week->load->wanted ?? 0];
        $isOver = true === $week->load?->isOverFull();
        $bars = self::bar('whole-free', $x + 1, $wide - 2, $height($free)).self::bar('whole-in', $x + 1, $wide - 2, $height($planned))
            .($isOver ? \sprintf('<path class="whole-over" d="M%.1f %.1fh%.1f"/>', $x + 1, self::BASE - $height($wanted), $wide - 2) : '');
        $top = self::BASE - $height(max($free, $planned, $isOver ? $wanted : 0)) - 9;
        foreach (\array_slice($week->dates, 0, self::MOST_DOTS) as $nth => $date) {
            $bars .= \sprintf(
                '<circle class="whole-date%s" cx="%.1f" cy="%.1f" r="4.5"/>',
                $date->isToMake() ? ' open' : '',
                $x + $wide / 2,
                $top - $nth * self::DOT,
            );
        }

        return \sprintf(
            '<a href="%s" aria-label="%s" class="whole-week"><title>%s</title><rect class="whole-hit" x="%.1f" y="0" width="%.1f" height="%.1f"/>%s</a>',
            Svg::escape($this->urls->generate('year', ['from' => $week->monday->text()])),
            Svg::escape($said = $this->said($week)),
            Svg::escape($said),
            $x,
            $wide,
            self::BASE,
            $bars,
        );
    }

    private static function bar(string $class, float $x, float $width, float $height): string
    {
        return \sprintf('<rect class="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>', $class, $x, self::BASE - $height, $width, $height);
    }

    private function said(WeekInYear $week): string
    {
        $things = [
            ...array_map(static fn (DateInYear $date): string => $date->name(), $week->dates),
            ...array_map(static fn (KitInYear $kit): string => $kit->kit->name.' due', $week->kits),
        ];

        return \sprintf(
            'Week of %s%s%s',
            $week->monday->date()->format('j F'),
            null === $week->load ? '' : ', '.$week->load->inWords().' hours',
            [] === $things ? '' : ': '.implode(', ', $things),
        );
    }
}
