<?php

declare(strict_types=1);

namespace App\Log;

use App\Catalogue\Item;
use App\Kits\Kit;
use App\Steps\Step;
use App\Steps\Unknown;
use App\Stores\Place;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;

/** The one way into the log: the core judges a movement, then it and the balances it changes are stored together. */
final readonly class LogBook
{
    public function __construct(private Connection $database, private EntityManagerInterface $entities)
    {
    }

    /** @throws RefusedMovement if the laws of the log refuse it */
    public function move(Step $step, Item $item, int $quantity, Place $from, Place $to, Reason $reason, ?Kit $kit = null, string $note = ''): void
    {
        $this->entities->flush();
        foreach ([$from, $to] as $place) {
            if (PlaceNature::Tray === $place->nature && $kit?->tray !== $place) {
                throw RefusedMovement::notItsTray($place->address);
            }
        }
        $movement = Movement::of((int) $item->id, $item->tracking, $quantity, $from->forLog(), $to->forLog(), $reason);
        $this->post($step, $movement, $kit?->id, $note, null);
    }

    /**
     * Puts a movement right by its mirror image.
     *
     * @throws RefusedMovement if it was put right already, is itself a reversal, or the thing is not there any more
     */
    public function reverse(Step $step, int $movementId): LogLine
    {
        $line = $this->checkReversible($movementId);
        $this->entities->flush();
        $this->post($step, $line->movement->reversed(), $line->kitId, '', $movementId);

        return $line;
    }

    /** @throws RefusedMovement if a movement was put right already, is itself a reversal, or was counted in another way since */
    public function checkReversible(int $movementId): LogLine
    {
        $line = $this->line($movementId);
        if (null !== $line->reversesId) {
            throw RefusedMovement::isItselfAReversal();
        }
        if (false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE reverses_id = ?', [$movementId])) {
            throw RefusedMovement::alreadyReversed();
        }
        if (false !== $this->database->fetchOne('SELECT 1 FROM retracking WHERE item_id = ? AND movement_id >= ?', [$line->movement->item, $movementId])) {
            throw RefusedMovement::countedOtherwise();
        }

        return $line;
    }

    public function outside(Outside $outside): Place
    {
        return $this->special($outside->value);
    }

    public function notFiled(): Place
    {
        return $this->special('not filed');
    }

    public function quantity(Item $item, Place $place): int
    {
        return (int) $this->database->fetchOne('SELECT quantity FROM balance WHERE item_id = ? AND place_id = ?', [$item->id, $place->id]);
    }

    /** @return array<int, int> quantity by place, storage only */
    public function stored(Item $item): array
    {
        return array_map(intval(...), $this->database->fetchAllKeyValue(
            "SELECT b.place_id, b.quantity FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ? AND p.nature IN ('storage', 'unfiled')",
            [$item->id],
        ));
    }

    private function special(string $address): Place
    {
        return $this->entities->getRepository(Place::class)->findOneBy(['address' => $address]) ?? throw Unknown::place($address);
    }

    private function post(Step $step, Movement $movement, ?int $kitId, string $note, ?int $reversesId): void
    {
        $balances = $this->balances($movement);
        $balances->post($movement);
        $this->database->insert('movement', [
            'item_id' => $movement->item,
            'from_id' => $movement->from->id,
            'to_id' => $movement->to->id,
            'kit_id' => $kitId,
            'account_id' => $step->who->id,
            'reverses_id' => $reversesId,
            'quantity' => $movement->quantity,
            'at' => $step->at->format('Y-m-d H:i:s'),
            'reason' => $movement->reason->value,
            'note' => mb_substr($note, 0, 300),
            'request_id' => $step->requestId,
        ]);
        foreach ([$movement->from->id, $movement->to->id] as $place) {
            $this->store($movement->item, $place, $balances->of($movement->item, $place));
        }
    }

    private function balances(Movement $movement): Balances
    {
        $balances = new Balances();
        $rows = $this->database->fetchAllAssociative('SELECT p.id, p.nature, p.address, p.retired_at, b.quantity FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ?', [$movement->item]);
        foreach ($rows as $row) {
            $balances->load($movement->item, self::place($row), (int) $row['quantity']);
        }

        return $balances;
    }

    private function store(int $item, int $place, int $quantity): void
    {
        if (0 === $quantity) {
            $this->database->delete('balance', ['item_id' => $item, 'place_id' => $place]);

            return;
        }
        $this->database->executeStatement(
            'INSERT INTO balance (item_id, place_id, quantity) VALUES (?, ?, ?) ON CONFLICT (item_id, place_id) DO UPDATE SET quantity = excluded.quantity',
            [$item, $place, $quantity],
        );
    }

    private function line(int $movementId): LogLine
    {
        $row = $this->database->fetchAssociative(
            'SELECT m.*, i.tracking, f.nature AS from_nature, f.address AS from_address, f.retired_at AS from_retired, t.nature AS to_nature, t.address AS to_address, t.retired_at AS to_retired
             FROM movement m JOIN item i ON i.id = m.item_id JOIN place f ON f.id = m.from_id JOIN place t ON t.id = m.to_id WHERE m.id = ?',
            [$movementId],
        );
        if (false === $row) {
            throw Unknown::step();
        }
        $movement = Movement::recorded(
            (int) $row['item_id'],
            Tracking::from((string) $row['tracking']),
            (int) $row['quantity'],
            self::place(['id' => $row['from_id'], 'nature' => $row['from_nature'], 'address' => $row['from_address'], 'retired_at' => $row['from_retired']]),
            self::place(['id' => $row['to_id'], 'nature' => $row['to_nature'], 'address' => $row['to_address'], 'retired_at' => $row['to_retired']]),
            Reason::from((string) $row['reason']),
        );

        return new LogLine($movementId, $movement, null === $row['kit_id'] ? null : (int) $row['kit_id'], null === $row['reverses_id'] ? null : (int) $row['reverses_id']);
    }

    /** @param array<string, mixed> $row */
    private static function place(array $row): Log\Place
    {
        \assert(is_numeric($row['id']) && \is_string($row['nature']) && \is_string($row['address']));

        return new Log\Place((int) $row['id'], PlaceNature::from($row['nature']), Place::shownAddress($row['address']), null !== $row['retired_at']);
    }
}
