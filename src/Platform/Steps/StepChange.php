<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** One row that a step changed: the columns that differ, as they were and as they became; all of them for a row that came or went. */
final readonly class StepChange
{
    /**
     * @param array<string, int|string|null> $was
     * @param array<string, int|string|null> $became
     */
    public function __construct(public string $table, public int $row, public Change $what, public array $was, public array $became, public bool $isOld = false)
    {
    }

    /** A movement from before changes were written down row by row. */
    public static function ofOldMovement(int $movement): self
    {
        return new self('movement', $movement, Change::Insert, [], [], true);
    }

    /**
     * Whether a row has these values.
     *
     * @param array<string, int|string|null> $columns
     * @param array<string, int|string|null> $row
     */
    public static function holds(array $columns, array $row): bool
    {
        foreach ($columns as $column => $value) {
            if ($value !== ($row[$column] ?? null)) {
                return false;
            }
        }

        return true;
    }

    public function text(string $column): string
    {
        return (string) ($this->became[$column] ?? $this->was[$column] ?? '');
    }
}
