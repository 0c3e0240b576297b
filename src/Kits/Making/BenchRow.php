<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Kits\TrayRow;
use Lottel\Core\Kit\Bench;
use Lottel\Core\Kit\BenchLine;

/** Something on the tray that the work uses up, with the amounts that are usual for one tap. */
final readonly class BenchRow
{
    /** @param list<int> $taps */
    private function __construct(public TrayRow $row, public array $taps, public int $each)
    {
    }

    public static function of(TrayRow $row, BenchLine $line, Bench $bench): self
    {
        return new self($row, $bench->taps($line), $bench->each($line));
    }
}
