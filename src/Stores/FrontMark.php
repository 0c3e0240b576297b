<?php

declare(strict_types=1);

namespace App\Stores;

/** The front of a place as it is drawn, all but what of it is out and whether it is lit. */
final readonly class FrontMark
{
    /** @param float $x of the disc that a lit front may carry */
    public function __construct(
        public int $id,
        public string $address,
        public string $url,
        public string $says,
        public string $front,
        public string $gap,
        public string $label,
        public float $x,
        public float $y,
    ) {
    }

    public function drawn(int $out, bool $isLit): string
    {
        $classes = 'place'.($isLit ? ' lit' : '').(0 === $out ? '' : ' out');

        return \sprintf(
            '<a class="%s" href="%s" tabindex="%d" data-address="%s" data-place="%d" data-disc="%.1f %.1f"><title>%s%s</title>%s%s%s</a>',
            $classes,
            $this->url,
            $isLit ? 0 : -1,
            $this->address,
            $this->id,
            $this->x,
            $this->y,
            $this->says,
            0 === $out ? '' : " · {$out} out",
            $this->front,
            0 === $out ? '' : $this->gap,
            $this->label,
        );
    }

    public function disc(string $text): string
    {
        return \sprintf(
            '<g class="disc" aria-hidden="true" transform="translate(%.1f %.1f)"><circle r="9"/><text y="4">%s</text></g>',
            $this->x,
            $this->y,
            htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8'),
        );
    }
}
