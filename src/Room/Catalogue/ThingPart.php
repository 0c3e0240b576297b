<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** What hangs on a thing, and what becomes of it when a thing that never moved is deleted. */
final readonly class ThingPart
{
    /** @param string $sql what is done, or asked; with `:item` for the thing's number */
    private function __construct(public string $table, public bool $keeps, public string $sql)
    {
    }

    public static function goesWith(string $table, string $where = 'item_id = :item'): self
    {
        return new self($table, false, "DELETE FROM $table WHERE $where");
    }

    /** What stays, and speaks no more of the thing. */
    public static function letsGo(string $table, string $column = 'item_id'): self
    {
        return new self($table, false, "UPDATE $table SET $column = NULL WHERE $column = :item");
    }

    /**
     * What keeps the thing from being deleted.
     *
     * @param string $named the names of the lists on which it is, in SQL
     */
    public static function keeps(string $table, string $named): self
    {
        return new self($table, true, $named);
    }
}
