<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Doctrine\DBAL\Connection;

/** All rows that hang on something, in whichever area. */
final readonly class AllThatHangs
{
    /** @param list<HangingRows> $rows in the order in which they go */
    public function __construct(private Connection $database, private array $rows)
    {
    }

    /** @return list<string> the tables */
    public function tables(): array
    {
        return array_values(array_unique(array_map(static fn (HangingRows $rows): string => $rows->table, $this->rows)));
    }

    /** What keeps it, by its name where it has one; null where nothing does. */
    public function keptBy(int $id): ?string
    {
        return $this->first($id, static fn (HangingRows $rows): bool => null === $rows->does);
    }

    /** Whether anything belongs to it that would go with it, or be let go. */
    public function isThere(int $id): bool
    {
        return null !== $this->first($id, static fn (HangingRows $rows): bool => null !== $rows->does);
    }

    /** Takes away what goes with it, and lets go what stays. */
    public function go(int $id): void
    {
        foreach ($this->rows as $rows) {
            if (null !== $rows->does) {
                $this->database->executeStatement($rows->does, ['id' => $id]);
            }
        }
    }

    /** Returns what differs whenever somebody has gone on with it. */
    public function sign(int $id): string
    {
        $signed = array_filter($this->rows, static fn (HangingRows $rows): bool => '' !== $rows->sign);
        $asked = array_map(static fn (HangingRows $rows): string => "(SELECT group_concat({$rows->sign}) FROM {$rows->table} WHERE {$rows->where})", $signed);

        return json_encode($this->database->fetchNumeric('SELECT '.implode(', ', $asked), ['id' => $id]), \JSON_THROW_ON_ERROR);
    }

    /** @param callable(HangingRows): bool $of */
    private function first(int $id, callable $of): ?string
    {
        foreach (array_filter($this->rows, $of) as $rows) {
            $found = $this->database->fetchOne($rows->asked, ['id' => $id]);
            if (false !== $found) {
                return Row::word($found);
            }
        }

        return null;
    }
}
