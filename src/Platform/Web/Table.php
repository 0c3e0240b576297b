<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** A list that is taken along: its columns, and its rows one after the other. Days and moments are texts of ISO 8601, moments in UTC. */
#[Exclude]
final readonly class Table
{
    /**
     * @param array<string, ColumnKind> $columns by their names, which stay the same
     * @param iterable<list<float|int|string|null>> $rows
     */
    public function __construct(public string $name, public array $columns, public iterable $rows)
    {
    }
}
