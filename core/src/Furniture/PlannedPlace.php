<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

/** A place that a template would make. */
final readonly class PlannedPlace
{
    public function __construct(public Address $address, public string $kind, public string $name, public Front $front, public Box $inside)
    {
    }
}
