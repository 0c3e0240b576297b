<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\AllThatHangs;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All that hangs on a thing, in whichever area. */
final readonly class PartsOfThing
{
    /** @param iterable<HasPartsOfThings> $areas */
    public function __construct(#[AutowireIterator(HasPartsOfThings::class)] private iterable $areas, private Connection $database)
    {
    }

    public function all(): AllThatHangs
    {
        $rows = [];
        foreach ($this->areas as $area) {
            $rows = [...$rows, ...$area->partsOfThings()];
        }

        return new AllThatHangs($this->database, $rows);
    }
}
