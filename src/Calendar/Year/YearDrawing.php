<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\Svg;
use Lottel\Core\Words\TypeWidth;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\WeekLoad;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Weeks side by side: how full each is, kits on their due dates with the days on which they are worked on, dates below. In pixels. */
final readonly class YearDrawing
{
    private const WIDTH = 856.0;
    private const HEAD = 58.0;
    private const ROW = 44.0;
    private const SLIP = 36.0;
    private const DATE_ROW = 26.0;
    private const BAND_ROW = 28.0;
    private const GAP = 8.0;
    private const MOST_ROWS = 8;
    private const MOST_SLIP = 210.0;
    private const FULL_BAR = 26.0;
    private const FULL_DAY = 240;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    public function drawn(YearPage $page, ?int $chosen): string
    {
        $rows = $this->kitRows($page, $chosen);
        $dates = $this->dateRows($page);
        $bands = $this->bands($page);
        $kitsFrom = self::HEAD + 6;
        $datesFrom = $kitsFrom + self::ROW * max(1, \count($rows)) + 4;
        $bandsFrom = $datesFrom + ([] === $dates ? 0 : self::DATE_ROW * \count($dates) + 6);
        $height = $bandsFrom + self::BAND_ROW * \count($bands) + 6;
        $svg = $this->grid($page, $height);
        foreach ($rows as $nth => $row) {
            $svg .= \sprintf('<g transform="translate(0 %.1f)">%s</g>', $kitsFrom + $nth * self::ROW, implode('', $row));
        }
        foreach ($dates as $nth => $row) {
            $svg .= \sprintf('<g transform="translate(0 %.1f)">%s</g>', $datesFrom + $nth * self::DATE_ROW, implode('', $row));
        }
        foreach ($bands as $nth => $row) {
            $svg .= \sprintf('<g transform="translate(0 %.1f)">%s</g>', $bandsFrom + $nth * self::BAND_ROW, $row);
        }

        return \sprintf(
            '<svg class="year-drawing" viewBox="0 0 %.0f %.0f" role="group" aria-label="%s">%s</svg>',
            self::WIDTH,
            $height,
            Svg::escape(\sprintf('%d weeks from %s', $page->many, $page->first->date()->format('j F Y'))),
            $svg,
        );
    }

    private function x(YearPage $page, Day $day): float
    {
        return self::WIDTH * $page->first->until($day) / (7 * $page->many);
    }

    private function grid(YearPage $page, float $height): string
    {
        $svg = \sprintf('<rect class="year-ground" x="0.5" y="0.5" width="%.1f" height="%.1f" rx="8"/>', self::WIDTH - 1, $height - 1);
        $wide = self::WIDTH / $page->many;
        if ($page->today->number >= $page->first->number && $page->today->number <= $page->last()->number) {
            $svg .= \sprintf(
                '<rect class="year-today" x="%.1f" y="0" width="%.1f" height="%.1f"><title>today</title></rect>',
                $this->x($page, $page->today),
                $wide / 7,
                $height,
            );
        }
        $month = '';
        for ($week = 0; $week < $page->many; ++$week) {
            $monday = $page->first->plus(7 * $week);
            $x = $week * $wide;
            $svg .= 0 === $week ? '' : \sprintf('<path class="year-line" d="M%.1f 0V%.1f"/>', $x, $height);
            $label = $monday->date()->format('M') === $month ? $monday->date()->format('j') : $monday->date()->format('j M');
            $month = $monday->date()->format('M');
            $svg .= \sprintf('<text class="year-week" x="%.1f" y="20">%s</text>', $x + 7, $label);
            $load = $page->weeks[$week] ?? null;
            $svg .= null === $load ? '' : $this->load($load, $x, $wide);
        }

        return $svg.\sprintf('<path class="year-line" d="M0 %.1fH%.1f"/>', self::HEAD, self::WIDTH);
    }

    private function load(WeekLoad $load, float $x, float $wide): string
    {
        if (0 === $load->free && 0 === $load->planned && 0 === $load->wanted) {
            return '';
        }
        [$left, $width] = [$x + 5, $wide - 11];
        $share = $load->free > 0 ? min(1.0, $load->planned / $load->free) : ($load->planned > 0 ? 1.0 : 0.0);

        return \sprintf('<g class="year-load%s">', $load->isOverFull() ? ' over' : '')
            .\sprintf('<title>%s hours in the week of %s</title>', $load->inWords(), $load->monday->date()->format('j F'))
            .\sprintf('<rect class="load-box" x="%.1f" y="29" width="%.1f" height="22" rx="3"/>', $left, $width)
            .\sprintf('<rect class="load-in" x="%.1f" y="29" width="%.1f" height="22" rx="3"/>', $left, $width * $share)
            .($load->isOverFull() ? \sprintf('<rect class="load-over" x="%.1f" y="24" width="4" height="32" rx="1"/>', $left + $width - 2) : '')
            .\sprintf('<text x="%.1f" y="44.5" text-anchor="middle">%s</text></g>', $left + $width / 2, $load->inWords());
    }

    /** @return list<list<string>> */
    private function kitRows(YearPage $page, ?int $chosen): array
    {
        $rows = $ends = [];
        foreach ($page->dated() as $kit) {
            [$svg, $from, $until] = $this->slip($page, $kit, $kit->kit->id === $chosen);
            $row = $this->freeRow($ends, $from);
            if ($row >= self::MOST_ROWS) {
                continue;
            }
            $rows[$row][] = $svg;
            $ends[$row] = $until;
        }

        return array_values($rows);
    }

    /** @param array<int, float> $ends */
    private function freeRow(array $ends, float $from): int
    {
        foreach ($ends as $row => $end) {
            if ($end + self::GAP <= $from) {
                return $row;
            }
        }

        return \count($ends);
    }

    /** @return array{string, float, float} what is drawn, and from where to where */
    private function slip(YearPage $page, KitInYear $kit, bool $isChosen): array
    {
        $due = $kit->due ?? $page->today;
        $isLate = $kit->isLate($page->today);
        $when = $due->number < $page->today->number
            ? \sprintf('overdue %s', 1 === ($days = $due->until($page->today)) ? '1 day' : $days.' days')
            : \sprintf('%s, %s', $due->date()->format('D j M'), $kit->time->inWords());
        $where = $kit->kit->isOut() ? ', '.$kit->kit->tray : '';
        $name = self::fitted($kit->kit->name, 15, self::MOST_SLIP - 20);
        $width = max(TypeWidth::of($name, 15), TypeWidth::of($when.$where, 13) * ($isLate ? 1.08 : 1) + ($isLate ? 16 : 0)) + 24;
        $x = max(0.0, min($this->x($page, $due->plus(1)), self::WIDTH - $width));
        $bars = $this->bars($page, $kit, $x);
        $from = $bars[1];
        $url = $this->urls->generate('year', ['from' => $page->first->text(), 'kit' => $kit->kit->id]);

        $classes = 'year-slip'.($isLate ? ' late' : '').($isChosen ? ' chosen' : '');

        return [\sprintf(
            '%1$s<a class="%2$s" href="%3$s"><title>%4$s</title>%5$s%6$s<text class="slip-name" x="%7$.1f" y="15.5">%8$s </text>'
            .'<text class="slip-when" x="%7$.1f" y="30">%9$s</text></a>',
            $bars[0],
            $classes,
            Svg::escape($url),
            Svg::escape($kit->kit->name.(null === $kit->plan ? '' : ', begin '.$kit->inWords($page->today))),
            Svg::rectangle('slip-body', $x, 0, $width, self::SLIP),
            Svg::rectangle('slip-edge', $x, 0, 5, self::SLIP),
            $x + 13,
            Svg::escape($name),
            ($isLate ? '⚑ ' : '').Svg::escape($when.$where),
        ), $from, $x + $width];
    }

    /** @return array{string, float} the days of work before a slip, and where they begin */
    private function bars(YearPage $page, KitInYear $kit, float $slip): array
    {
        if (null === $kit->plan) {
            return ['', $slip];
        }
        $svg = '';
        $wide = self::WIDTH / $page->many / 7;
        $first = $slip;
        foreach ($kit->plan->work as $number => $minutes) {
            $x = $this->x($page, Day::numbered($number));
            if ($x < 0 || $x + $wide > $slip + 1) {
                continue;
            }
            $high = max(5.0, min(self::FULL_BAR, self::FULL_BAR * $minutes / self::FULL_DAY));
            $svg .= \sprintf('<rect class="work-bar" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>', $x + 1, self::SLIP - 3 - $high, $wide - 2, $high);
            $first = min($first, $x);
        }
        if ($first >= $slip) {
            return ['', $slip];
        }
        $label = $kit->plan->start()->number <= $page->today->number ? 'now' : 'from '.$kit->plan->start()->date()->format('D j');
        $wideLabel = TypeWidth::of($label, 13) + 6;
        $hasRoom = $first - $wideLabel > 2;

        return [
            \sprintf('<path class="work-line" d="M%.1f %.1fH%.1f"/>', $first, self::SLIP - 2.5, $slip).$svg.
                ($hasRoom ? \sprintf('<text class="work-from" x="%.1f" y="%.1f" text-anchor="end">%s</text>', $first - 5, self::SLIP - 6, $label) : ''),
            $hasRoom ? $first - $wideLabel : $first,
        ];
    }

    /** @return list<list<string>> */
    private function dateRows(YearPage $page): array
    {
        $rows = $ends = [];
        foreach ($page->dates as $date) {
            if ($date->occasion->lasts > 1 || OccasionKind::Season === $date->occasion->kind) {
                continue;
            }
            $state = match (true) {
                $date->isMade, $date->served + $date->gone > 0 && $date->isServed() => 'made',
                null !== $date->kit => 'kit',
                0 === $date->occasion->pieces => 'none',
                default => 'open',
            };
            $name = self::fitted($date->name(), 14, 170);
            $todo = 'open' === $state ? ' to make' : '';
            $x = $this->x($page, $date->day);
            $width = 20 + TypeWidth::of($name, 14) + TypeWidth::of($todo, 14) * 1.15 + 6;
            $x = min($x, self::WIDTH - $width);
            $row = $this->freeRow($ends, $x);
            if ($row >= self::MOST_ROWS) {
                continue;
            }
            $rows[$row][] = \sprintf(
                '<a class="year-date %s" href="%s" aria-label="%s"><rect x="%.1f" y="3" width="15" height="15" rx="2"/>%s'
                .'<text x="%.1f" y="15.5">%s%s</text></a>',
                $state,
                Svg::escape($this->urls->generate('occasion', ['occasion' => $date->occasion->id])),
                Svg::escape($date->day->date()->format('j F').': '.$date->name().$todo),
                $x + 1,
                \in_array($state, ['made', 'kit'], true) ? \sprintf('<path d="M%.1f 10.5l3 3.5l5 -7"/>', $x + 4.5) : '',
                $x + 21,
                Svg::escape($name),
                '' === $todo ? '' : '<tspan class="to-make">'.$todo.'</tspan>',
            );
            $ends[$row] = $x + $width;
        }

        return array_values($rows);
    }

    /** @return list<string> */
    private function bands(YearPage $page): array
    {
        $bands = [];
        foreach ($page->dates as $date) {
            if (1 === $date->occasion->lasts && OccasionKind::Season !== $date->occasion->kind) {
                continue;
            }
            $from = max(0.0, $this->x($page, $date->day));
            $until = min(self::WIDTH, $this->x($page, $date->day->plus($date->occasion->lasts)));
            $name = $date->name();
            $isInside = TypeWidth::of($name, 14) + 16 < $until - $from;
            $at = $isInside ? $from + 8 : ($until + TypeWidth::of($name, 14) + 12 < self::WIDTH ? $until + 6 : $from - 6);
            $bands[] = \sprintf(
                '<a class="year-band" href="%s" aria-label="%s"><rect x="%.1f" y="2" width="%.1f" height="22" rx="3"/><text x="%.1f" y="17.5"%s>%s</text></a>',
                Svg::escape($this->urls->generate('occasion', ['occasion' => $date->occasion->id])),
                Svg::escape($name.' from '.$date->day->date()->format('j F')),
                $from,
                max(6.0, $until - $from),
                $at,
                !$isInside && $at < $from ? ' text-anchor="end"' : '',
                Svg::escape($name),
            );
        }

        return \array_slice($bands, 0, 3);
    }

    private static function fitted(string $text, float $size, float $width): string
    {
        if (TypeWidth::of($text, $size) <= $width) {
            return $text;
        }
        while ('' !== $text && TypeWidth::of($text.'…', $size) > $width) {
            $text = mb_substr($text, 0, -1);
        }

        return rtrim($text).'…';
    }
}
