<?php

declare(strict_types=1);

namespace App\Upkeep\PutAway;

use App\Kits\Kits\KitReading;
use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\PutAway\Age;
use Lottel\Core\Upkeep\PutAway\Homeless;
use Symfony\Component\Clock\ClockInterface;

/** What lies about: kits that are out, and things that have no home. */
final readonly class LeftOutReading
{
    private const MOST_HOMELESS = 30;

    public function __construct(private Connection $database, private KitReading $kits, private ClockInterface $clock)
    {
    }

    /** @return list<LeftOutKit> the oldest first */
    public function kits(): array
    {
        $since = $this->since();
        $lying = [];
        foreach ($this->kits->out() as $kit) {
            [$at, $isFolder] = $since[$kit->id] ?? [$this->clock->now(), false];
            $lying[] = new LeftOutKit($kit, new Age((int) $at->diff($this->clock->now())->days), $isFolder, $this->kits->tray($kit->id));
        }
        usort($lying, static fn (LeftOutKit $a, LeftOutKit $b): int => [$b->isOld(), $b->age->days, $a->kit->id] <=> [$a->isOld(), $a->age->days, $b->kit->id]);

        return $lying;
    }

    /** @return list<HomelessThing> those that ask for a home most first */
    public function homeless(): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", i.since, min(CASE WHEN p.nature = 'unfiled' THEN 'not filed' ELSE p.address END) AS lies,
                    (SELECT count(*) FROM movement m WHERE m.item_id = i.id AND m.at >= :since AND m.reverses_id IS NULL) AS moved
             FROM item i JOIN balance b ON b.item_id = i.id JOIN place p ON p.id = b.place_id AND p.nature <> 'outside' LEFT JOIN place h ON h.id = i.home_id
             WHERE i.home_id IS NULL GROUP BY i.id ORDER BY moved DESC, i.since LIMIT ".self::MOST_HOMELESS,
            ['since' => $this->clock->now()->modify('-3 months')->format('Y-m-d H:i:s')],
        );
        $things = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $since = $row->timeOrNull('since') ?? $this->clock->now();
            $homeless = new Homeless($row->int('item_id'), $row->int('moved'), (int) $since->diff($this->clock->now())->days);
            $things[$homeless->item] = new HomelessThing($homeless, ThingLine::of($row), $row->text('lies'));
        }

        return array_map(
            static fn (Homeless $one): HomelessThing => $things[$one->item],
            Homeless::inOrder(array_values(array_map(static fn (HomelessThing $thing): Homeless => $thing->homeless, $things))),
        );
    }

    /** @return array<int, array{\DateTimeImmutable, bool}> since when a kit is out, and whether it waits in a folder, by kit */
    private function since(): array
    {
        $since = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT k.id, k.out_since, p.kind = 'folder' AS is_folder FROM kit_holder h JOIN kit k ON k.id = h.kit_id JOIN place p ON p.id = h.place_id",
        ) as $columns) {
            $row = new Row($columns);
            $since[$row->int('id')] = [$row->timeOrNull('out_since') ?? $this->clock->now(), $row->flag('is_folder')];
        }

        return $since;
    }
}
