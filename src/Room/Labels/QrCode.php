<?php

declare(strict_types=1);

namespace App\Room\Labels;

/** The dark modules of a QR code, row by row. */
final class QrCode
{
    /** @var array<string, list<list<int>>> */
    private array $known = [];

    /** @return list<list<int>> the columns of the dark modules in each row */
    public function rows(string $text): array
    {
        if (!isset($this->known[$text])) {
            /** @var list<list<int|string>> $matrix */
            $matrix = (new \TCPDF2DBarcode($text, 'QRCODE,M'))->getBarcodeArray()['bcode'] ?? [];
            $this->known[$text] = array_map(static fn (array $row): array => array_keys(array_map(intval(...), $row), 1, true), $matrix);
        }

        return $this->known[$text];
    }

    /**
     * Returns the dark runs of each row as column and length, so that no hairlines show between modules.
     *
     * @return list<array{int, int, int}> row, column, modules
     */
    public function runs(string $text): array
    {
        $runs = [];
        foreach ($this->rows($text) as $row => $columns) {
            $from = $to = null;
            foreach ($columns as $column) {
                if (null !== $from && $to !== $column) {
                    $runs[] = [$row, $from, $to - $from];
                    $from = null;
                }
                $from ??= $column;
                $to = $column + 1;
            }
            if (null !== $from && null !== $to) {
                $runs[] = [$row, $from, $to - $from];
            }
        }

        return $runs;
    }

    public function side(string $text): int
    {
        return max(1, \count($this->rows($text)));
    }
}
