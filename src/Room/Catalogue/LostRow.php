<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;

/** A thing that is lost: how much of it, since when, and what was said then. */
final readonly class LostRow
{
    private function __construct(public ThingLine $thing, public int $quantity, public ?\DateTimeImmutable $since, public string $note)
    {
    }

    public static function of(Row $row): self
    {
        return new self(ThingLine::of($row), $row->int('quantity'), $row->timeOrNull('since'), $row->textOrNull('note') ?? '');
    }
}
