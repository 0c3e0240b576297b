<?php

declare(strict_types=1);

namespace App\Stores;

/** The front of a place as it is drawn, all but what of it is out and whether it is lit. */
final readonly class FrontMark
{
    /**
     * @param string $link where it leads and what it is, as attributes
     * @param string $disc where the disc of a lit front goes
     */
    public function __construct(
        public int $id,
        private string $link,
        private string $says,
        private string $front,
        private string $gap,
        private string $label,
        private string $disc,
    ) {
    }

    public function drawn(int $out, bool $isLit): string
    {
        return '<a class="place'.($isLit ? ' lit' : '').(0 === $out ? '' : ' out').'" tabindex="'.($isLit ? '0' : '-1').'" '.$this->link
            .'><title>'.$this->says.(0 === $out ? '' : " · {$out} out").'</title>'
            .$this->front.(0 === $out ? '' : $this->gap).$this->label.'</a>';
    }

    public function disc(string $text): string
    {
        return '<g class="disc" aria-hidden="true" transform="translate('.$this->disc.')"><circle r="9"/><text y="4">'
            .htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8').'</text></g>';
    }
}
