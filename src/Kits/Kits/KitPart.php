<?php

declare(strict_types=1);

namespace App\Kits\Kits;

/** Rows of a table that hang on a kit, and what becomes of them when it is deleted. */
final readonly class KitPart
{
    /**
     * @param string $where which rows are a kit's, with `:kit` for its number
     * @param string $sign what of a row differs whenever somebody has gone on with the kit, in SQL; empty where nothing does
     */
    private function __construct(public string $table, public KitPartFate $fate, public string $where, public string $sign = '', public string $column = '')
    {
    }

    public static function goesWith(string $table, string $sign = '', string $where = 'kit_id = :kit'): self
    {
        return new self($table, KitPartFate::GoesWithIt, $where, $sign);
    }

    /** What stays, and speaks no more of what goes. */
    public static function letsGo(string $table, string $column = 'kit_id'): self
    {
        return new self($table, KitPartFate::LetsGo, "kit_id = :kit AND $column IS NOT NULL", column: $column);
    }

    /** What keeps a kit that was once under way: it is only out of sight. */
    public static function speaksOfIt(string $table, string $sign = ''): self
    {
        return new self($table, KitPartFate::KeepsIt, 'kit_id = :kit', $sign);
    }
}
