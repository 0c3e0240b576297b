<?php

declare(strict_types=1);

namespace App\Log;

use App\Web\Csv;
use App\Web\Frame;
use Lottel\Core\Furniture\RetiredAddress;

/** The log as a spreadsheet. Text that a spreadsheet would take for a formula is made harmless. */
final readonly class LogCsv
{
    private const COLUMNS = ['line', 'when', 'who', 'why', 'item', 'quantity', 'from', 'to', 'kit', 'note', 'puts right line'];

    public function __construct(private Frame $frame)
    {
    }

    /**
     * @param iterable<LogRow> $lines
     *
     * @return iterable<string>
     */
    public function chunks(iterable $lines): iterable
    {
        yield Csv::file([self::COLUMNS]);
        foreach ($lines as $line) {
            yield Csv::rows([$this->cells($line)]);
        }
    }

    /** @return list<string> */
    private function cells(LogRow $line): array
    {
        return [
            (string) $line->id,
            $line->at->setTimezone($this->frame->timeZone())->format('Y-m-d H:i:s'),
            $line->person,
            $line->reason->value,
            $line->item,
            $this->frame->quantities()->print($line->quantity, $line->tracking),
            RetiredAddress::onLabel($line->from->address),
            RetiredAddress::onLabel($line->to->address),
            $line->kit,
            $line->note,
            (string) $line->reversesId,
        ];
    }
}
