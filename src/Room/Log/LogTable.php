<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Web\ColumnKind;
use App\Platform\Web\Measures;
use App\Platform\Web\RoomClock;
use App\Platform\Web\Table;
use Lottel\Core\Furniture\RetiredAddress;

/** The log as a list to take along. */
final readonly class LogTable
{
    private const COLUMNS = ['line', 'when', 'who', 'why', 'item', 'quantity', 'from', 'to', 'kit', 'note', 'puts right line'];

    public function __construct(private Measures $measures, private RoomClock $roomClock)
    {
    }

    /** @param iterable<LogRow> $lines */
    public function table(iterable $lines): Table
    {
        return new Table('log', array_fill_keys(self::COLUMNS, ColumnKind::AsItIs), (function () use ($lines): iterable {
            foreach ($lines as $line) {
                yield $this->cells($line);
            }
        })());
    }

    /** @return list<int|string> */
    private function cells(LogRow $line): array
    {
        return [
            $line->id,
            $line->at->setTimezone($this->roomClock->timeZone())->format('Y-m-d H:i:s'),
            $line->person,
            $line->reason->value,
            $line->item,
            $this->measures->quantities()->print($line->quantity, $line->tracking),
            RetiredAddress::onLabel($line->from->address),
            RetiredAddress::onLabel($line->to->address),
            $line->kit,
            $line->note,
            $line->reversesId ?? '',
        ];
    }
}
