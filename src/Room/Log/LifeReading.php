<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\Row;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Life;
use Lottel\Core\Log\LifeEvent;
use Lottel\Core\Log\LifeLine;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;

/** What a thing has lived through. */
final readonly class LifeReading
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<LifeRow> oldest first */
    public function of(int $item): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT m.at, m.reason, m.quantity, m.kit_id, f.id AS from_id, f.nature AS from_nature, f.address AS from_label,
                    t.id AS to_id, t.nature AS to_nature, t.address AS to_label
             FROM movement m JOIN place f ON f.id = m.from_id JOIN place t ON t.id = m.to_id
             WHERE m.item_id = ? AND m.reverses_id IS NULL AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) ORDER BY m.id',
            [$item],
        );
        $events = Life::of(Row::each($rows, self::line(...)));
        $made = $this->made(
            array_values(
                array_filter(array_map(static fn (LifeEvent $event): ?int => $event->kit, $events), static fn (?int $kit): bool => null !== $kit),
            ),
        );

        return array_map(static fn (LifeEvent $event): LifeRow => new LifeRow($event, $made[$event->kit] ?? null), $events);
    }

    private static function line(Row $row): LifeLine
    {
        $end = static fn (string $end): LoggedPlace => new LoggedPlace(
            $row->int($end.'_id'),
            $row->one($end.'_nature', PlaceNature::class),
            $row->text($end.'_label'),
        );

        return new LifeLine($row->time('at'), $row->one('reason', Reason::class), $row->int('quantity'), $end('from'), $end('to'), $row->intOrNull('kit_id'));
    }

    /**
     * @param list<int> $kits
     *
     * @return array<int, MadeOf> what each kit has made, by kit
     */
    private function made(array $kits): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT k.id, k.name, k.occasion, coalesce(sum(m.quantity), 0) AS pieces FROM kit k
             LEFT JOIN piece_made m ON m.kit_id = k.id WHERE k.id IN (?) GROUP BY k.id',
            [$kits],
            [ArrayParameterType::INTEGER],
        );
        $made = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $made[$row->int('id')] = new MadeOf($row->int('id'), $row->text('name'), $row->text('occasion'), $row->int('pieces'));
        }

        return $made;
    }
}
