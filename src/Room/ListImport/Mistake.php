<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Lottel\Core\ListImport\ListField;

/** A row that cannot be read as it stands. */
final readonly class Mistake
{
    /** @param list<string> $cells */
    public function __construct(public int $row, public ListField $field, public string $why, public array $cells)
    {
    }

    /** What the row calls its thing. */
    public function name(ImportedList $list): string
    {
        return mb_substr($this->cells[$list->column(ListField::Name)] ?? '', 0, 80);
    }
}
