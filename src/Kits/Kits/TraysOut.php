<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;

/** What stands around every page of what is out: the trays, and how many things are out. */
final class TraysOut implements ResetInterface
{
    /** @var list<TrayCard>|null */
    private ?array $trays = null;

    public function __construct(private readonly Connection $database, private readonly RoomClock $roomClock)
    {
    }

    public function reset(): void
    {
        $this->trays = null;
    }

    /** @return list<TrayCard> the open kits in order of their trays */
    public function trays(): array
    {
        return $this->trays ??= Row::each($this->database->fetchAllAssociative(
            "SELECT k.id, k.name, k.stage, k.due_on, k.out_since, p.number,
                    (SELECT count(*) FROM balance b WHERE b.place_id = p.id) AS out
             FROM kit_holder h JOIN kit k ON k.id = h.kit_id JOIN place p ON p.id = h.place_id AND p.kind = 'tray' ORDER BY p.number",
        ), $this->tray(...));
    }

    public function thingsOut(): int
    {
        // What waits to be given away, recycled or sold is out with nothing: only baskets, and boxes of a move, have a number.
        $inBaskets = Row::number($this->database->fetchOne(
            "SELECT count(*) FROM place p JOIN balance b ON b.place_id = p.id WHERE p.kind = 'basket' AND p.number IS NOT NULL",
        ));

        return $inBaskets + array_sum(array_map(static fn (TrayCard $tray): int => $tray->out, $this->trays()));
    }

    private function tray(Row $row): TrayCard
    {
        $since = $row->timeOrNull('out_since');

        return TrayCard::of($row, null === $since ? '' : $this->age($since), $this->roomClock->due($row->textOrNull('due_on')));
    }

    private function age(\DateTimeImmutable $time): string
    {
        $since = $time->setTimezone($this->roomClock->timeZone());
        $days = (int) $since->setTime(0, 0)->diff($this->roomClock->today()->setTime(0, 0))->days;

        return match (true) {
            0 === $days => 'since '.$since->format('G:i'),
            1 === $days => '1 day',
            default => $days.' days',
        };
    }
}
