<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Words\TypeWidth;

/** A front that stands open in the drawing of a wall: its address, its name, how many things it has, and a glimpse of them. In pixels. */
final readonly class OpenFront
{
    private const INSET = 5.0;
    private const CHIP = 17.0;
    private const CHARACTER = 7.9;
    private const NAME = 12.5;
    private const LINE = 14.0;
    private const LEAST_GLIMPSE = 9.0;
    private const LEAST_SPINE = 3.0;
    private const MOST_SPINE = 13.0;
    private const TALLEST_MM = 170.0;
    private const OF_WIDTH = 0.86;
    private const BOX_HEIGHT = 30.0;

    /**
     * @param float $scale pixels to a millimetre
     * @param list<Glimpse> $glimpses
     * @param list<array{string, string}> $boxes address and link of each inner place
     */
    public function __construct(
        private FrontRow $place,
        private string $link,
        private float $x,
        private float $y,
        private float $width,
        private float $height,
        private float $scale,
        private int $things,
        private FrontState $state,
        private array $glimpses,
        private array $boxes,
    ) {
    }

    public function drawn(): string
    {
        [$texts, $below] = $this->texts();
        $shapes =
            (0 === $this->state->out ? '' : Svg::rectangle('gap', $this->x, $this->y, $this->width, $this->height, 2)).
            ($this->state->isOverFull
                ? \sprintf(
                    '<path class="over-full" d="M%.1f %.1fV%.1fm-3 0h6"/>',
                    $this->x + $this->width - 6,
                    $this->y + $this->height,
                    $this->y - 4,
                )
                : '');

        return \sprintf(
            '<a class="place%s" href="%s" data-address="%s"><title>%s</title>%s%s%s%s</a>%s',
            0 === $this->things && 0 === $this->state->out ? ' free' : '',
            $this->link,
            Svg::escape($this->place->address),
            Svg::escape(\sprintf('%s · %s, %d%s', $this->place->address, $this->place->title, $this->things, $this->state->inWords())),
            Svg::rectangle('front', $this->x, $this->y, $this->width, $this->height, 0),
            $this->glimpse($below),
            $texts,
            $shapes,
            $this->boxes($below),
        );
    }

    /** @return array{string, float} what is written, and where the free space below it begins */
    private function texts(): array
    {
        $chip = \strlen($this->place->address) * self::CHARACTER + 8;
        if ($chip + 4 > $this->width || $this->height < self::CHIP + 1) {
            return ['', $this->y];
        }
        $inset = min(self::INSET, ($this->height - self::CHIP) / 2);
        $svg = \sprintf(
            '<rect class="chip-rect" x="%.1f" y="%.1f" width="%.1f" height="%.0f" rx="3"/><text class="chip-text" x="%.1f" y="%.1f">%s</text>',
            $this->x + $inset,
            $this->y + $inset,
            $chip,
            self::CHIP,
            $this->x + $inset + $chip / 2,
            $this->y + $inset + 12.8,
            Svg::escape($this->place->address),
        );
        $says = $this->says();
        $right = TypeWidth::of($says, self::NAME) + 2 * self::INSET;
        $hasCount = $chip + $inset + $right < $this->width;
        if ($hasCount) {
            $svg .= \sprintf(
                '<text class="count%s" x="%.1f" y="%.1f">%s</text>',
                $this->state->isOverFull || $this->state->out > 0 || $this->state->lost > 0 ? ' marked' : '',
                $this->x + $this->width - self::INSET - ($this->state->isOverFull ? 6 : 0),
                $this->y + $inset + 13,
                Svg::escape($says),
            );
        }
        $beside = $this->width - $chip - $inset - 10 - ($hasCount ? $right : 0);
        $isLow = $this->height < self::CHIP + self::LINE + 2 * self::INSET;
        if ($isLow && !$this->hasNameBeside($beside)) {
            return [$svg.$this->spines($chip + $inset + 6, $beside - 4, $this->y + $inset + self::CHIP, self::CHIP), $this->y + $this->height];
        }

        return $isLow || TypeWidth::of($this->name(), self::NAME) <= $beside && $this->height < 60
            ? [$svg.$this->nameBeside($chip + $inset + 6, $inset, $beside), $this->y + self::CHIP + $inset]
            : $this->withNameBelow($svg);
    }

    private function says(): string
    {
        return match (true) {
            $this->state->out > 0 => $this->state->out.' out',
            $this->state->lost > 0 => $this->state->lost.' lost',
            0 === $this->things => 'free',
            default => (string) $this->things,
        };
    }

    /** What it is called, nothing where that is only what sort of place it is. */
    private function name(): string
    {
        return $this->place->isNamed ? $this->place->title : '';
    }

    private function nameBeside(float $left, float $inset, float $width): string
    {
        return !$this->hasNameBeside($width) ? '' : \sprintf(
            '<text class="front-name" x="%.1f" y="%.1f">%s</text>',
            $this->x + $left,
            $this->y + $inset + 13,
            Svg::escape($this->name()),
        );
    }

    private function hasNameBeside(float $width): bool
    {
        return '' !== $this->name() && TypeWidth::of($this->name(), self::NAME) <= $width;
    }

    /** @return array{string, float} */
    private function withNameBelow(string $svg): array
    {
        $y = $this->y + self::INSET + self::CHIP + 13;
        $room = $this->height - self::INSET - self::CHIP - 4;
        $lines = TypeWidth::lines($this->name(), self::NAME, [$this->width - 2 * self::INSET]) ?? [];
        if ('' === $this->name() || \count($lines) * self::LINE > $room) {
            $lines = [];
        }
        foreach ($lines as $nth => $line) {
            $svg .= \sprintf('<text class="front-name" x="%.1f" y="%.1f">%s</text>', $this->x + self::INSET, $y + $nth * self::LINE, Svg::escape($line));
        }

        return [$svg, $y + (\count($lines) - 1) * self::LINE + 5];
    }

    private function glimpse(float $top): string
    {
        $room = $this->y + $this->height - 1.5 - $top;
        if ($room < self::LEAST_GLIMPSE || [] === $this->glimpses || [] !== $this->boxes) {
            return '';
        }
        $stacked = array_values(array_filter($this->glimpses, static fn (Glimpse $glimpse): bool => $glimpse->isStack));

        return 2 * \count($stacked) > \count($this->glimpses) ? $this->stack($stacked, $room) : $this->spines(
            self::INSET,
            $this->width - 2 * self::INSET,
            $this->y + $this->height - 1.5,
            min($room, self::TALLEST_MM * $this->scale),
        );
    }

    /** @param list<Glimpse> $stacked */
    private function stack(array $stacked, float $room): string
    {
        $svg = '';
        $bottom = $this->y + $this->height - 1.5;
        $most = $bottom - $room;
        foreach ($stacked as $glimpse) {
            $height = max(1.6, $glimpse->thickness * $this->scale);
            if ($bottom - $height < $most) {
                break;
            }
            $svg .= self::thing($glimpse, $this->x + self::INSET, $bottom - $height, $this->width * self::OF_WIDTH - self::INSET, $height);
            $bottom -= $height;
        }

        return $svg;
    }

    /** What stands in it, side by side from a point on its left, as much of it as there is room for. */
    private function spines(float $left, float $room, float $bottom, float $height): string
    {
        $svg = '';
        $x = $this->x + $left;
        foreach ($this->glimpses as $glimpse) {
            $width = max(self::LEAST_SPINE, min(self::MOST_SPINE, $glimpse->thickness * $this->scale));
            if ($x + $width > $this->x + $left + $room) {
                break;
            }
            $svg .= self::thing($glimpse, $x, $bottom - $height, $width, $height);
            $x += $width + 1;
        }

        return $svg;
    }

    private static function thing(Glimpse $glimpse, float $x, float $y, float $width, float $height): string
    {
        return \sprintf(
            '<rect class="thing-in%s x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
            null === $glimpse->colour ? ' plain"' : '" fill="'.Svg::escape($glimpse->colour).'"',
            $x,
            $y,
            $width,
            $height,
        );
    }

    private function boxes(float $top): string
    {
        $room = $this->y + $this->height - 1.5 - $top;
        $each = ($this->width - 2 * self::INSET) / max(1, \count($this->boxes));
        if ($room < self::LEAST_GLIMPSE + 3) {
            return '';
        }
        $height = min($room - 2, self::BOX_HEIGHT);
        $svg = '';
        foreach ($this->boxes as $nth => [$address, $link]) {
            $x = $this->x + self::INSET + $nth * $each;
            $isWide = \strlen($address) * 7.3 + 4 < $each;
            $svg .= \sprintf(
                '<a class="place box" href="%s" data-address="%s"><title>%2$s</title>'
                .'<rect class="box-rect" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2"/>%s</a>',
                $link,
                Svg::escape($address),
                $x,
                $this->y + $this->height - 1.5 - $height,
                $each - 3,
                $height,
                $isWide
                    ? \sprintf(
                        '<text class="box-text" x="%.1f" y="%.1f">%s</text>',
                        $x + ($each - 3) / 2,
                        $this->y + $this->height + 2.5 - $height / 2,
                        Svg::escape($address),
                    )
                    : '',
            );
        }

        return $svg;
    }
}
