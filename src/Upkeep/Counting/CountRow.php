<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Database\Row;

/** A count of a place, as a list shows it. */
final readonly class CountRow
{
    private function __construct(public string $address, public string $who, public \DateTimeImmutable $at, public int $counted, public int $wrong)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->text('address'), $row->text('who'), $row->time('at'), $row->int('expected'), $row->int('wrong'));
    }
}
