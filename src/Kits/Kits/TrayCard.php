<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use Lottel\Core\Kit\DueDate;
use Lottel\Core\Kit\Stage;

/** A tray that is out, as the rail at the foot of each page shows it. */
final readonly class TrayCard
{
    /** @param int $id of its kit */
    private function __construct(
        public int $id,
        public int $number,
        public string $name,
        public Stage $stage,
        public int $out,
        public string $since,
        public DueDate $due,
    ) {
    }

    /** @param string $since since when it is out, in words */
    public static function of(Row $row, string $since, DueDate $due): self
    {
        return new self($row->int('id'), $row->int('number'), $row->text('name'), $row->one('stage', Stage::class), $row->int('out'), $since, $due);
    }
}
