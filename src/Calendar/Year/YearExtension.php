<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Lottel\Core\Measure\Duration;
use Lottel\Core\Year\Day;
use Twig\Extension\AbstractExtension;
use Twig\TwigFilter;
use Twig\TwigFunction;

final class YearExtension extends AbstractExtension implements ShowsOnPages
{
    public function __construct(
        private readonly YearDrawing $drawing,
        private readonly WholeYearDrawing $whole,
        private readonly Feeds $feeds,
        private readonly KitTimes $times,
        private readonly Pressing $pressing,
    ) {
    }

    public function onPages(): array
    {
        return [
            new PagePart('plan', 'calendar/year/_pressing.html.twig'),
        ];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('year_drawing', $this->drawing->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('whole_year_drawing', $this->whole->drawn(...), ['is_safe' => ['html']]),
            new TwigFunction('feed_word', $this->feeds->wordOf(...)),
            new TwigFunction('pressing', $this->pressing->now(...)),
            new TwigFunction('dries_until', $this->times->driesUntil(...)),
        ];
    }

    public function getFilters(): array
    {
        return [
            new TwigFilter('duration', static fn (int $minutes): string => Duration::ofMinutes($minutes)->text()),
            new TwigFilter('day', static fn (Day $day, string $format = 'D j M'): string => $day->date()->format($format)),
        ];
    }
}
