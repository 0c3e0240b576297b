<?php

declare(strict_types=1);

namespace App\Stash;

use Lottel\Core\Stash\StashField;

/** A row that cannot be read as it stands. */
final readonly class Mistake
{
    /** @param list<string> $cells */
    public function __construct(public int $row, public StashField $field, public string $why, public array $cells)
    {
    }

    /** What the row calls its thing. */
    public function name(StashList $list): string
    {
        return mb_substr($this->cells[$list->column(StashField::Name)] ?? '', 0, 80);
    }
}
