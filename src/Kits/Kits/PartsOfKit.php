<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\AllThatHangs;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All that hangs on a kit, in whichever area. */
final readonly class PartsOfKit
{
    /** @param iterable<HasPartsOfKits> $areas */
    public function __construct(#[AutowireIterator(HasPartsOfKits::class)] private iterable $areas, private Connection $database)
    {
    }

    public function all(): AllThatHangs
    {
        $rows = [];
        foreach ($this->areas as $area) {
            $rows = [...$rows, ...$area->partsOfKits()];
        }

        return new AllThatHangs($this->database, $rows);
    }
}
