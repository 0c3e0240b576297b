<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** Something that an area shows on a page of an area below it. */
final readonly class PagePart
{
    /**
     * @param string $spot where, as the page calls it, such as “kit”
     * @param string $template what is shown there; it knows what the page knows
     * @param int $order among others at that spot, the least first
     */
    public function __construct(public string $spot, public string $template, public int $order = 0)
    {
    }
}
