<?php

declare(strict_types=1);

namespace App\Platform\Security;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;
use Doctrine\DBAL\Types\Types;

/** Sign-ins that failed, and sessions. */
final readonly class SecurityTables implements DeclaresTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $failure = $tables->named('sign_in_failure');
        $tables->text($failure, 'subject', 200);
        $failure->addColumn('failures', Types::INTEGER);
        $failure->addColumn('since', Types::INTEGER);
        $failure->setPrimaryKey(['subject']);

        $session = $tables->named('session');
        $tables->text($session, 'id', 128);
        $session->addColumn('data', Types::TEXT);
        $session->addColumn('ends_at', Types::INTEGER);
        $session->setPrimaryKey(['id']);
        $session->addIndex(['ends_at'], 'session_end');
    }
}
