<?php

declare(strict_types=1);

namespace App\Catalogue;

use Lottel\Core\Catalogue\Kind;

/** What is to change on several items at once; null stays as it is. */
final readonly class BulkChange
{
    public function __construct(public ?string $maker, public ?string $theme, public ?Kind $kind, public ?string $collection, public ?string $season)
    {
    }

    public function isNothing(): bool
    {
        return null === $this->maker && null === $this->theme && null === $this->kind && null === $this->collection && null === $this->season;
    }
}
