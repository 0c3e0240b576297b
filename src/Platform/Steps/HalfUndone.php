<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** A step in parts that was begun to be taken back, and is not out yet as a whole. */
final class HalfUndone
{
    /** Of a row `w` of write_request. */
    public const IS = '(w.undone_by IS NOT NULL
        AND EXISTS (SELECT 1 FROM part_done q WHERE q.request_id = w.id AND q.parts > 1)
        AND (NOT EXISTS (SELECT 1 FROM write_request u WHERE u.id = w.undone_by)
            OR EXISTS (SELECT 1 FROM part_done q WHERE q.request_id = w.undone_by AND q.done < q.parts)))';

    private function __construct()
    {
    }
}
