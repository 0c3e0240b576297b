<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Web\Input;
use App\Room\Catalogue\ThingRow;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Upkeep\Counting\CountedLine;
use Lottel\Core\Upkeep\Counting\CountReason;
use Lottel\Core\Upkeep\Counting\CountSheet;

/** Reads a sheet on which a place was counted. */
final class CountInput
{
    /** @param list<ThingRow> $rows what the log believes to be there */
    public static function sheet(Input $input, array $rows): CountSheet
    {
        $isAll = $input->isTicked('all');
        $lines = array_map(static fn (ThingRow $row): CountedLine => new CountedLine(
            $row->id,
            $input->isEmpty('was-'.$row->id) ? $row->quantity : $input->whole('was-'.$row->id, 0, Tracking::MOST),
            self::found($input, $row, $isAll),
        ), $rows);

        return new CountSheet($lines);
    }

    /** @return array<int, CountReason> why each line differs, by item; what fits is asked for beside the line */
    public static function reasons(Input $input, CountSheet $sheet): array
    {
        $reasons = [];
        foreach ($sheet->differing() as $line) {
            $field = 'why-'.$line->item;
            $reason = $input->isEmpty($field) ? null : $input->choice($field, CountReason::class);
            if (null === $reason || !$reason->explains($line->difference())) {
                $input->refuse($field, 'Why?');
            } else {
                $reasons[$line->item] = $reason;
            }
        }

        return $reasons;
    }

    /** How much of it was found; null where nobody said. */
    private static function found(Input $input, ThingRow $row, bool $isAll): ?int
    {
        $field = 'count-'.$row->id;
        if (!$input->isEmpty($field)) {
            return '0' === $input->text($field, 20) ? 0 : $input->quantity($field, $row->tracking);
        }

        return $isAll || $input->isTicked('same-'.$row->id) ? $row->quantity : null;
    }
}
