<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Colour\Family;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Measure\Length;

/** What is written down about a place: what belongs in it, in what order, how large it is inside, and what it carries. */
final readonly class PlaceDescription
{
    public const ROOM_TO_GROW = 20;

    /**
     * @param list<Kind> $alsoKinds that belong there, too
     * @param int $roomToGrow share that is kept free, in percent
     * @param int|null $fileAfterUses for a basket of new things
     */
    public function __construct(
        public string $name,
        public FilingScheme $scheme,
        public ?Kind $kind = null,
        public string $maker = '',
        public string $theme = '',
        public ?Family $colour = null,
        public ?Season $season = null,
        public array $alsoKinds = [],
        public ?Length $width = null,
        public ?Length $height = null,
        public ?Length $depth = null,
        public ?int $mostGrams = null,
        public int $roomToGrow = self::ROOM_TO_GROW,
        public ?int $fileAfterUses = null,
        public bool $isChildSafe = false,
    ) {
    }
}
