<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Database\DeclaresTables;
use App\Platform\Database\SchemaTables;
use Doctrine\DBAL\Types\Types;

/** Devices that were let in, and the codes by which they come. */
final readonly class DeviceTables implements DeclaresTables
{
    public function declareTables(SchemaTables $tables): void
    {
        $device = $tables->numbered('device');
        $tables->reference($device, 'account', isRequired: false);
        $tables->text($device, 'name', 60);
        $tables->text($device, 'token', 64);
        $device->addColumn('let_in_at', Types::DATETIME_IMMUTABLE);
        $device->addColumn('seen_at', Types::DATETIME_IMMUTABLE);
        $device->addColumn('shut_out_at', Types::DATETIME_IMMUTABLE, ['notnull' => false]);
        $device->addIndex(['account_id'], 'device_account');

        $code = $tables->named('device_code');
        $tables->text($code, 'code', 64);
        $tables->reference($code, 'account', isRequired: false);
        $code->addColumn('ends_at', Types::INTEGER);
        $code->setPrimaryKey(['code']);
    }
}
