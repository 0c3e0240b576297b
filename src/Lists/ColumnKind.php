<?php

declare(strict_types=1);

namespace App\Lists;

/** What a column of a list holds. */
enum ColumnKind
{
    case Text;
    case Whole;
    case Number;
    case Money;
    case Day;
    case Moment;
}
