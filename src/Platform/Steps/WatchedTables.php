<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All tables whose changes are written down, as the areas declare them. */
final class WatchedTables
{
    /** @var array<string, WatchedTable>|null */
    private ?array $known = null;

    /** @param iterable<WatchesTables> $areas */
    public function __construct(#[AutowireIterator(WatchesTables::class)] private readonly iterable $areas)
    {
    }

    /** @return array<string, WatchedTable> by name */
    public function all(): array
    {
        if (null === $this->known) {
            $this->known = [];
            foreach ($this->areas as $area) {
                foreach ($area->watched() as $table) {
                    $this->known[$table->name] = $table;
                }
            }
        }

        return $this->known;
    }

    public function one(string $name): WatchedTable
    {
        return $this->all()[$name] ?? throw new \LogicException("No area says that the table $name is watched.");
    }
}
