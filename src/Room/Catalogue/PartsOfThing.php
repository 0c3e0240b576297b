<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All that hangs on a thing, in whichever area. */
final readonly class PartsOfThing
{
    /** @param iterable<HasPartsOfThings> $areas */
    public function __construct(#[AutowireIterator(HasPartsOfThings::class)] private iterable $areas, private Connection $database)
    {
    }

    /** @return list<string> the tables */
    public function tables(): array
    {
        return array_values(array_unique(array_map(static fn (ThingPart $part): string => $part->table, [...$this->all()])));
    }

    /** The name of a list on which it is, and which keeps it. */
    public function keptBy(int $item): ?string
    {
        foreach ($this->all() as $part) {
            $name = $part->keeps ? $this->database->fetchOne($part->sql, ['item' => $item]) : false;
            if (false !== $name) {
                return Row::word($name);
            }
        }

        return null;
    }

    /** Takes away what goes with a thing, and lets go what stays without it. */
    public function go(int $item): void
    {
        foreach ($this->all() as $part) {
            if (!$part->keeps) {
                $this->database->executeStatement($part->sql, ['item' => $item]);
            }
        }
    }

    /** @return iterable<int, ThingPart> */
    private function all(): iterable
    {
        foreach ($this->areas as $area) {
            yield from $area->partsOfThings();
        }
    }
}
