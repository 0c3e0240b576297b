<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Platform\Database\Row;
use App\Platform\Web\Measures;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Year\PieceCost;

/** What a finished piece was made of, after the log; what that cost; and where pieces like it went. */
final readonly class Supplies
{
    /** Of what is not used up, what is worth a line. */
    private const WORKED_WITH = [Kind::StampSet, Kind::Die, Kind::Stencil, Kind::Ink, Kind::Pen, Kind::Powder];

    public function __construct(private Connection $database, private EntityManagerInterface $entities, private Measures $measures)
    {
    }

    public function of(int $item): SupplyList
    {
        $kit = $this->database->fetchAssociative(
            'SELECT m.kit_id, k.name, (SELECT sum(o.quantity) FROM piece_made o WHERE o.kit_id = m.kit_id) AS all_made
             FROM piece_made m JOIN kit k ON k.id = m.kit_id WHERE m.item_id = ? ORDER BY m.kit_id DESC LIMIT 1',
            [$item],
        );
        if (false === $kit) {
            return new SupplyList(null, '', 0, [], []);
        }
        $row = new Row($kit);
        $lines = $this->lines($row->int('kit_id'));

        return new SupplyList($row->int('kit_id'), $row->text('name'), $row->int('all_made'), $lines, $this->cuts($row->int('kit_id')));
    }

    /** @return list<Gift> the last ones first */
    public function gifts(Item $item): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Gift::class)->findBy(['item' => $item], ['day' => 'DESC', 'id' => 'DESC'], 60),
            fn (Gift $gift): bool => false === $this->database->fetchOne('SELECT 1 FROM movement WHERE reverses_id = ?', [$gift->movementId]),
        ));
    }

    /** @return list<Supply> what was used up first, then what was worked with */
    private function lines(int $kit): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.id, i.name, i.maker, i.kind, i.tracking, i.colour_name, i.colour,
                (SELECT coalesce(sum(u.quantity), 0) FROM use_of_item u WHERE u.item_id = i.id AND u.kit_id = :kit) AS used,
                (SELECT p.cents FROM price p WHERE p.item_id = coalesce(i.parent_id, i.id) ORDER BY p.day DESC, p.id DESC LIMIT 1) AS cents,
                (SELECT p.quantity FROM price p WHERE p.item_id = coalesce(i.parent_id, i.id) ORDER BY p.day DESC, p.id DESC LIMIT 1) AS price_of
             FROM item i WHERE i.kind <> 'finished piece'
                AND i.id IN (SELECT p.item_id FROM item_use p WHERE p.kit_id = :kit UNION SELECT u.item_id FROM use_of_item u WHERE u.kit_id = :kit)
             ORDER BY used = 0, i.kind, i.name",
            ['kit' => $kit],
        );

        return array_values(array_filter(Row::each($rows, fn (Row $row): Supply => new Supply(
            $row->int('id'),
            $row->text('name'),
            $row->text('maker'),
            $row->one('kind', Kind::class),
            $row->text('colour_name'),
            $row->textOrNull('colour'),
            $row->int('used'),
            $row->int('used') > 0 ? $this->measures->quantities()->print($row->int('used'), $row->one('tracking', Tracking::class)) : '',
            null === $row->intOrNull('cents') ? null : PieceCost::of($row->int('used'), $row->int('cents'), $row->int('price_of')),
        )), static fn (Supply $supply): bool => $supply->used > 0 || \in_array($supply->kind, self::WORKED_WITH, true)));
    }

    /** @return list<string> the pieces that were cut */
    private function cuts(int $kit): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT p.name, p.width, p.height, p.quantity, i.name AS paper FROM piece p JOIN item i ON i.id = p.paper_id WHERE p.kit_id = ? ORDER BY p.id',
            [$kit],
        ), fn (Row $row): string => \sprintf(
            '%d × %s %s × %s, %s',
            $row->int('quantity'),
            $row->text('name'),
            $this->measures->lengths()->number(\Lottel\Core\Measure\Length::ofTicks($row->int('width'))),
            $this->measures->lengths()->full(\Lottel\Core\Measure\Length::ofTicks($row->int('height'))),
            $row->text('paper'),
        ));
    }
}
