<?php

declare(strict_types=1);

namespace App\Platform\Database;

/** Rows of a table that hang on something, such as a kit, and what becomes of them when it is deleted. `:id` is its number. */
final readonly class HangingRows
{
    /**
     * @param string|null $does what is done with them, in SQL; null where they keep what they hang on
     * @param string $asked what tells whether there are any, in SQL; where they keep it, by which name
     * @param string $sign what of a row differs whenever somebody has gone on with it, in SQL; empty where nothing does
     */
    private function __construct(public string $table, public ?string $does, public string $asked, public string $where, public string $sign)
    {
    }

    public static function goesWith(string $table, string $where, string $sign = ''): self
    {
        return new self($table, "DELETE FROM $table WHERE $where", "SELECT '$table' FROM $table WHERE $where LIMIT 1", $where, $sign);
    }

    /** What stays, and speaks no more of what goes. */
    public static function letsGo(string $table, string $column, string $where): self
    {
        return new self($table, "UPDATE $table SET $column = NULL WHERE $where", "SELECT '$table' FROM $table WHERE $where LIMIT 1", $where, '');
    }

    /** @param string $named the names of what keeps it, in SQL; empty where it needs none */
    public static function keeps(string $table, string $where, string $named = '', string $sign = ''): self
    {
        return new self($table, null, '' === $named ? "SELECT '$table' FROM $table WHERE $where LIMIT 1" : $named, $where, $sign);
    }
}
