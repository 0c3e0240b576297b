<?php

declare(strict_types=1);

namespace App\Kits\Kits;

/** Which kits still want something: those that are planned or under way, and not deleted. */
final class OpenKits
{
    /** Of a row of kits called k, as SQL. */
    public const ARE = "k.stage <> 'closed' AND k.removed_at IS NULL";
}
