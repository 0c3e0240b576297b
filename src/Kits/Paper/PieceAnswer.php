<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use Lottel\Core\Cutting\PieceInScrap;
use Lottel\Core\Cutting\ScrapMatch;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;

/** One piece of paper that will do, and how the wanted piece lies in it. */
final readonly class PieceAnswer
{
    public function __construct(public int $number, public PaperRow $paper, public ScrapMatch $match, public PieceInScrap $lies)
    {
    }

    /** What cutting the piece out leaves, in words. */
    public function leaves(LengthFormat $lengths): string
    {
        if (null === $this->lies->cuts) {
            return 'cut it out of an odd outline';
        }
        if (0 === $this->lies->cuts) {
            return 'fits exactly';
        }
        $kept = array_map(
            static fn (SheetPart $part): string => $lengths->number(Length::ofTicks($part->width)).' × '.$lengths->number(Length::ofTicks($part->height)),
            $this->lies->kept,
        );

        return [] === $kept ? 'leaves slivers only' : 'keeps '.implode(', ', $kept);
    }
}
