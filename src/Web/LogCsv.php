<?php

declare(strict_types=1);

namespace App\Web;

use App\Entity\Place;
use App\Reading\Frame;
use Lottel\Core\Log\Tracking;
use Symfony\Component\Serializer\Encoder\CsvEncoder;

/** The log as a spreadsheet. Text that a spreadsheet would take for a formula is made harmless. */
final readonly class LogCsv
{
    public function __construct(private Frame $frame)
    {
    }

    /**
     * @param iterable<array<string, mixed>> $lines
     *
     * @return iterable<string>
     */
    public function chunks(iterable $lines): iterable
    {
        $encoder = new CsvEncoder([CsvEncoder::ESCAPE_FORMULAS_KEY => true]);
        yield "\u{FEFF}".$encoder->encode([array_keys($this->row(null))], 'csv', [CsvEncoder::NO_HEADERS_KEY => true]);
        foreach ($lines as $line) {
            yield $encoder->encode([array_values($this->row($line))], 'csv', [CsvEncoder::NO_HEADERS_KEY => true]);
        }
    }

    /**
     * @param array<string, mixed>|null $line
     *
     * @return array<string, string>
     */
    private function row(?array $line): array
    {
        $tracking = Tracking::from((string) ($line['tracking'] ?? 'one'));

        return [
            'line' => (string) ($line['id'] ?? ''),
            'when' => null === $line ? '' : (new \DateTimeImmutable((string) $line['at'], new \DateTimeZone('UTC')))->setTimezone($this->frame->timeZone())->format('Y-m-d H:i:s'),
            'who' => (string) ($line['person'] ?? ''),
            'why' => (string) ($line['reason'] ?? ''),
            'item' => (string) ($line['item'] ?? ''),
            'quantity' => null === $line ? '' : $this->frame->quantities()->print((int) $line['quantity'], $tracking),
            'from' => Place::shownAddress((string) ($line['from_address'] ?? '')),
            'to' => Place::shownAddress((string) ($line['to_address'] ?? '')),
            'kit' => (string) ($line['kit'] ?? ''),
            'note' => (string) ($line['note'] ?? ''),
            'puts right line' => (string) ($line['reverses_id'] ?? ''),
        ];
    }
}
