<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A list as a file to take along: CSV, or a spreadsheet. */
final readonly class TableFile
{
    private const SPREADSHEET = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

    public function __construct(private TableCsv $csv, private TableXlsx $xlsx)
    {
    }

    /** @param string $type csv or xlsx */
    public function answer(Table $table, string $type): Response
    {
        if ('xlsx' === $type) {
            $file = new BinaryFileResponse($this->xlsx->write($table), 200, ['Content-Type' => self::SPREADSHEET]);

            return $file->deleteFileAfterSend()->setContentDisposition('attachment', $table->name.'.xlsx');
        }

        return new StreamedResponse(function () use ($table): void {
            foreach ($this->csv->chunks($table) as $chunk) {
                echo $chunk;
            }
        }, 200, self::headers($table->name));
    }

    /**
     * A short list, whose numbers are numbers and whose texts are texts.
     *
     * @param list<string> $columns
     * @param list<list<float|int|string|null>> $rows
     */
    public function plain(string $name, array $columns, array $rows, string $type): Response
    {
        if ('csv' === $type) {
            return new Response(Csv::file([$columns, ...$rows]), 200, self::headers($name));
        }

        return $this->answer(new Table($name, array_fill_keys($columns, ColumnKind::AsItIs), $rows), $type);
    }

    /** @return array<string, string> */
    private static function headers(string $name): array
    {
        return ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => \sprintf('attachment; filename="%s.csv"', $name)];
    }
}
