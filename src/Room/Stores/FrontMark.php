<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Room\LitFront;
use Lottel\Core\Room\Plates;

/** The front of a place as it is drawn, all but what there is to see on it and whether it is lit. In pixels of its row. */
final readonly class FrontMark
{
    private const MARK = 6.0;

    /**
     * @param int $row number of the row in which it is drawn
     * @param string $link where it leads and what it is, as attributes
     * @param string $label its address and its boxes, as SVG
     */
    public function __construct(
        public int $id,
        public int $row,
        private int $unit,
        private string $address,
        private string $link,
        private string $says,
        private float $x,
        private float $y,
        private float $width,
        private float $height,
        private string $label,
    ) {
    }

    /** @param string|null $stop what is written on its disc, null where it is not lit */
    public function drawn(FrontState $state, ?string $stop): string
    {
        $isLit = null !== $stop;
        $classes = 'place'.($isLit ? ' lit' : '').(0 === $state->out ? '' : ' out').(Plates::isLegible($this->width, $this->height) ? '' : ' small');

        $tab = null === $stop ? 'tabindex="-1"' : 'tabindex="0" data-stop="'.Svg::escape($stop).'"';

        return \sprintf('<a class="%s" %s %s><title>%s</title>', $classes, $tab, $this->link, $this->says.$state->inWords())
            .Svg::rectangle('front', $this->x, $this->y, $this->width, $this->height, 0).$this->shapes($state).$this->label.'</a>';
    }

    public function lit(string $stop): LitFront
    {
        return new LitFront($this->id, $this->unit, $this->address, $stop, $this->x, $this->y, $this->width, $this->height);
    }

    /** @return array{float, float} */
    public function middle(): array
    {
        return [$this->x + $this->width / 2, $this->y + $this->height / 2];
    }

    /** A disc on the corner of a front that is large enough for its address. */
    public function disc(string $stop): string
    {
        return '' === $stop || !Plates::isLegible($this->width, $this->height) ? '' : self::discAt($this->x + $this->width, $this->y + 2, $stop);
    }

    public static function discAt(float $x, float $y, string $stop): string
    {
        $width = max(18.0, 8 + 6.2 * mb_strlen($stop));

        return \sprintf(
            '<g class="disc" transform="translate(%.1f %.1f)"><rect x="%.1f" y="-9" width="%.1f" height="18" rx="9"/><text y="4">%s</text></g>',
            $x,
            $y,
            -$width / 2,
            $width,
            Svg::escape($stop),
        );
    }

    private function shapes(FrontState $state): string
    {
        $right = $this->x + $this->width;
        $mark = min(self::MARK, $this->height);

        return (0 === $state->out ? '' : Svg::rectangle('gap', $this->x, $this->y, $this->width, $this->height, 1.5)).
            (0 === $state->lost
                ? ''
                : \sprintf('<path class="lost" d="M%.1f %.1fL%.1f %.1f"/>', $this->x + 2, $this->y + $this->height - 2, $right - 2, $this->y + 2)).
            ($state->isOverFull
                ? \sprintf('<path class="over-full" d="M%.1f %.1fV%.1fm-2.5 0h5"/>', $right - 4, $this->y + $this->height, $this->y - 3)
                : '').
            ($state->isOverdue ? \sprintf('<path class="pennant" d="M%.1f %.1fv%.1fl%.1f %.1fl%.1f %.1f"/>', ...$this->pennant($mark)) : '');
    }

    /** @return array{float, float, float, float, float, float, float} */
    private function pennant(float $mark): array
    {
        return [$this->x + $this->width - $mark - 7, $this->y + $mark + 2, -$mark - 3, $mark, $mark / 2, -$mark, $mark / 2];
    }
}
