<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that has tables for which no entity stands. */
#[AutoconfigureTag]
interface DeclaresTables
{
    public function declareTables(SchemaTables $tables): void;
}
