<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** A list as CSV, row by row. */
final class TableCsv
{
    private const AT_ONCE = 200;

    /** @return iterable<string> */
    public function chunks(Table $table): iterable
    {
        yield Csv::file([array_keys($table->columns)]);
        $some = [];
        foreach ($table->rows as $row) {
            $some[] = $row;
            if (\count($some) >= self::AT_ONCE) {
                yield Csv::rows($some);
                $some = [];
            }
        }
        if ([] !== $some) {
            yield Csv::rows($some);
        }
    }
}
