<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Lottel\Core\ListImport\ListField;

/** Rows in which the same cannot be read in the same column: mended together. */
final class AlikeMistakes
{
    /** @var non-empty-list<int> */
    public array $rows;

    /** @var array<int, list<string>> */
    private array $cells;

    /** @param string $text what cannot be read */
    public function __construct(public readonly Mistake $first, public readonly string $text)
    {
        $this->rows = [$first->row];
        $this->cells = [$first->row => $first->cells];
    }

    /** @return list<string> the cells of one of the rows */
    public function cells(int $row): array
    {
        return $this->cells[$row];
    }

    /**
     * Gathers mistakes that are alike. A missing name, or one that is too long, is its row's own.
     *
     * @param list<Mistake> $mistakes
     *
     * @return list<self>
     */
    public static function of(array $mistakes, ImportedList $list): array
    {
        $groups = [];
        foreach ($mistakes as $mistake) {
            $text = trim($mistake->cells[$list->column($mistake->field)] ?? '');
            $own = ListField::Name === $mistake->field ? (string) $mistake->row : '';
            $key = $mistake->field->value."\n".$own."\n".mb_strtolower($text);
            if (isset($groups[$key])) {
                $groups[$key]->rows[] = $mistake->row;
                $groups[$key]->cells[$mistake->row] = $mistake->cells;
            } else {
                $groups[$key] = new self($mistake, $text);
            }
        }

        return array_values($groups);
    }
}
