<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All that hangs on a kit, in whichever area. */
final readonly class PartsOfKit
{
    /** @param iterable<HasPartsOfKits> $areas */
    public function __construct(#[AutowireIterator(HasPartsOfKits::class)] private iterable $areas, private Connection $database)
    {
    }

    /** @return list<string> the tables */
    public function tables(): array
    {
        return array_values(array_unique(array_map(static fn (KitPart $part): string => $part->table, [...$this->all()])));
    }

    /** Whether something speaks of a kit that was once under way, so that it is kept. */
    public function keep(int $kit): bool
    {
        return $this->has($kit, static fn (KitPart $part): bool => KitPartFate::KeepsIt === $part->fate);
    }

    /** Whether anything belongs to it by now. */
    public function areThere(int $kit): bool
    {
        return $this->has($kit, static fn (KitPart $part): bool => KitPartFate::KeepsIt !== $part->fate);
    }

    /** Takes away what goes with a kit, and lets go what stays without it. */
    public function go(int $kit): void
    {
        foreach ($this->all() as $part) {
            $does = match ($part->fate) {
                KitPartFate::GoesWithIt => "DELETE FROM {$part->table}",
                KitPartFate::LetsGo => "UPDATE {$part->table} SET {$part->column} = NULL",
                KitPartFate::KeepsIt => null,
            };
            if (null !== $does) {
                $this->database->executeStatement("{$does} WHERE {$part->where}", ['kit' => $kit]);
            }
        }
    }

    /** Returns what differs whenever somebody has gone on with a kit. */
    public function sign(int $kit): string
    {
        $signs = [];
        foreach ($this->all() as $part) {
            if ('' !== $part->sign) {
                $signs[] = "(SELECT group_concat({$part->sign}) FROM {$part->table} WHERE {$part->where})";
            }
        }
        $said = $this->database->fetchNumeric('SELECT '.implode(', ', $signs), ['kit' => $kit]);

        return json_encode($said, \JSON_THROW_ON_ERROR);
    }

    /** @param callable(KitPart): bool $of */
    private function has(int $kit, callable $of): bool
    {
        foreach ($this->all() as $part) {
            if ($of($part) && false !== $this->database->fetchOne("SELECT 1 FROM {$part->table} WHERE {$part->where} LIMIT 1", ['kit' => $kit])) {
                return true;
            }
        }

        return false;
    }

    /** @return iterable<int, KitPart> */
    private function all(): iterable
    {
        foreach ($this->areas as $area) {
            yield from $area->partsOfKits();
        }
    }
}
