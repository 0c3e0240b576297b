<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** What a column of a list holds. */
enum ColumnKind
{
    case Text;
    case Whole;
    case Number;
    case Money;
    case Day;
    case Moment;

    /** A number is a number, a text a text. */
    case AsItIs;
}
