<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Filing\FilingScheme;

/** What is said of a place beside the others of its unit: its name, what lives in it, and how that is filed. */
final readonly class PlaceWords
{
    public function __construct(public string $name, public ?Kind $kind, public string $maker, public string $theme, public FilingScheme $scheme)
    {
    }
}
