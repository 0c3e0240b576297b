<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Room\Catalogue\ThingRow;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Measure\InvalidLength;

/** A count sheet with what was typed on it so far. */
final readonly class SheetTyped
{
    /**
     * @param list<ThingRow> $rows what the log says
     * @param array<mixed> $typed fields of the form
     */
    public function __construct(private array $rows, private array $typed, private QuantityText $quantities)
    {
    }

    /** @return list<SheetRow> */
    public function rows(): array
    {
        return array_map(fn (ThingRow $row): SheetRow => new SheetRow(
            $row,
            $this->text('count-'.$row->id),
            '' !== $this->text('same-'.$row->id),
            $this->text('why-'.$row->id),
            $this->difference($row),
        ), $this->rows);
    }

    private function difference(ThingRow $row): int
    {
        $count = $this->text('count-'.$row->id);
        if ('' === $count) {
            return 0;
        }
        try {
            return ('0' === $count ? 0 : $this->quantities->parse($count, $row->tracking)) - $row->quantity;
        } catch (RefusedMovement|InvalidLength) {
            return 0;
        }
    }

    private function text(string $field): string
    {
        $value = $this->typed[$field] ?? '';

        return \is_scalar($value) ? trim((string) $value) : '';
    }
}
