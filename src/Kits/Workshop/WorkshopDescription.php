<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use Lottel\Core\Workshop\Headcount;

/** What a person says of a class. */
final readonly class WorkshopDescription
{
    public function __construct(public Headcount $class, public int $makes = 1, public string $bring = '', public string $names = '', public string $also = '')
    {
    }
}
