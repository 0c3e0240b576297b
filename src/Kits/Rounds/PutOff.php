<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\RefusedMovement;

/** What is put off on a return, such as a stamp that is still wet: it comes last, on whatever device one goes on. */
final readonly class PutOff
{
    public function __construct(private Connection $database, private LogBook $log)
    {
    }

    /** @throws RefusedMovement if it is not on the kit's tray */
    public function __invoke(Kit $kit, Item $item): void
    {
        $tray = $kit->trayInUse();
        if ($this->log->quantity((int) $item->id, (int) $tray->id) < 1) {
            throw RefusedMovement::notEnough($tray->address, 0, $item->tracking);
        }
        $this->database->executeStatement('INSERT OR IGNORE INTO put_off (kit_id, item_id) VALUES (?, ?)', [$kit->id, $item->id]);
    }

    /** It is not on the tray any more. */
    public function isOver(Kit $kit, Item $item): void
    {
        $this->database->delete('put_off', ['kit_id' => $kit->id, 'item_id' => $item->id]);
    }

    /** @return list<int> the things of a kit that are put off */
    public function of(int $kit): array
    {
        return array_map(Row::number(...), $this->database->fetchFirstColumn('SELECT item_id FROM put_off WHERE kit_id = ? ORDER BY id', [$kit]));
    }
}
