<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Web\Measures;
use App\Platform\Web\Svg;
use Lottel\Core\Cutting\SheetPlan;
use Lottel\Core\Measure\Length;

/** How a sheet is cut, as a drawing of its own: in true size, or as large as a page is wide. */
final readonly class PlanSvg
{
    private const MARGIN = 14.0;
    private const WIDTH_TO_FIT = 180.0;

    public function __construct(private Measures $measures)
    {
    }

    public function drawn(CuttingTable $table, int $sheet, bool $isTrueSize): string
    {
        $plan = SheetPlan::of($table->sheets[$sheet]->sheet()->root);
        $scale = $isTrueSize ? 1.0 : min(1.0, self::WIDTH_TO_FIT * Length::TICKS_PER_MILLIMETRE / max($plan->width, $plan->height));
        $mm = static fn (int $ticks): float => $ticks / Length::TICKS_PER_MILLIMETRE * $scale;
        [$width, $height] = [$mm($plan->width), $mm($plan->height)];
        $svg = \sprintf('<rect x="0" y="0" width="%.3f" height="%.3f" fill="none" stroke="#22303a" stroke-width="0.4"/>', $width, $height);
        foreach ($plan->parts as ['x' => $x, 'y' => $y, 'part' => $part]) {
            [$left, $top, $across, $down] = [$mm($x), $mm($y), $mm($part->width), $mm($part->height)];
            $name = null === $part->piece ? '' : $table->pieces[$part->piece]->name;
            $svg .= \sprintf(
                '<rect x="%.3f" y="%.3f" width="%.3f" height="%.3f" fill="%s" stroke="#22303a" stroke-width="0.15"/>',
                $left,
                $top,
                $across,
                $down,
                null === $part->piece ? '#f3f0e8' : '#dcebe5',
            ).$this->text($name, $left + $across / 2, $top + $down / 2 - 1, 4.2, $across)
                .$this->text($this->number($part->width).' × '.$this->number($part->height), $left + $across / 2, $top + $down / 2 + 4, 3.6, $across);
        }
        foreach ($plan->cuts as $cut) {
            [$left, $top, $length] = [$mm($cut['x']), $mm($cut['y']), $mm($cut['length'])];
            $svg .=
                \sprintf(
                    '<path d="M%.3f %.3f%s%.3f" stroke="#9c3a2b" stroke-width="0.35" fill="none"/>',
                    $left,
                    $top,
                    $cut['isUpright'] ? 'v' : 'h',
                    $length,
                ).
                \sprintf('<circle cx="%.3f" cy="%.3f" r="2.4" fill="#9c3a2b"/>', $left, $top).
                \sprintf('<text x="%.3f" y="%.3f" font-size="3.2" fill="#ffffff" text-anchor="middle">%d</text>', $left, $top + 1.1, $cut['number']);
        }
        $svg .=
            $this->text($this->number($plan->width), $width / 2, -5, 4.5, 99).
            $this->text($this->number($plan->height), -7, $height / 2, 4.5, 99).
            \sprintf('<path d="M0 -3H%1$.3f M-3 0V%2$.3f" stroke="#22303a" stroke-width="0.2" fill="none"/>', $width, $height);
        $caption = \sprintf(
            '%s, %s',
            $table->sheets[$sheet]->item->name,
            $isTrueSize ? 'true size' : \sprintf('at %d %% of its size', (int) round(100 * $scale)),
        );

        return \sprintf(
            '<svg xmlns="http://www.w3.org/2000/svg" width="%1$.3fmm" height="%2$.3fmm"'
                .' viewBox="-%3$.1f -%3$.1f %1$.3f %2$.3f" font-family="sans-serif"><title>%4$s</title>%5$s%6$s</svg>',
            $width + 2 * self::MARGIN,
            $height + 2 * self::MARGIN,
            self::MARGIN,
            Svg::escape($caption),
            $svg,
            \sprintf('<text x="0" y="%.3f" font-size="4" fill="#22303a">%s</text>', $height + 8, Svg::escape($caption)),
        );
    }

    private function text(string $text, float $x, float $y, float $size, float $room): string
    {
        return '' === $text || mb_strlen($text) * $size * 0.5 > $room
            ? ''
            : \sprintf('<text x="%.3f" y="%.3f" font-size="%.1f" fill="#22303a" text-anchor="middle">%s</text>', $x, $y, $size, Svg::escape($text));
    }

    private function number(int $ticks): string
    {
        return $this->measures->lengths()->number(Length::ofTicks($ticks));
    }
}
