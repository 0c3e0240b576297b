<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Steps\StepRefused;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\RefusedRetracking;
use Lottel\Core\Log\Retracking;
use Lottel\Core\Log\Tracking;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Counts a thing in another way from now on; the log keeps its lines as they were counted. */
final readonly class CountOtherwise
{
    /** @param iterable<CountsThings> $areas */
    public function __construct(
        #[AutowireIterator(CountsThings::class)]
        private iterable $areas,
        private Connection $database,
        private EntityManagerInterface $entities,
        private ItemIndex $index,
    ) {
    }

    /**
     * @throws RefusedRetracking if what is in a place does not come out even, or cannot be counted so
     * @throws StepRefused if some of it is on a tray, where its kit's list counts it too
     */
    public function __invoke(Item $item, Retracking $retracking): void
    {
        $this->entities->flush();
        foreach ($this->areas as $area) {
            $area->recount($item, $retracking);
        }
        $last = $this->database->fetchOne('SELECT max(id) FROM movement WHERE item_id = ?', [$item->id]);
        if (null !== $last && false !== $last) {
            $this->database->insert('retracking', [
                'item_id' => $item->id, 'movement_id' => $last, 'from_tracking' => $retracking->from->value, 'to_tracking' => $retracking->to->value,
                'was' => $retracking->was, 'becomes' => $retracking->becomes,
            ]);
            $this->convertBalances($item, $retracking);
        }
        $item->countAs($retracking->to);
        $this->index->item($item);
    }

    private function convertBalances(Item $item, Retracking $retracking): void
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT b.place_id, b.quantity, p.nature, p.address FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ?',
            [$item->id],
        );
        $rows = Row::each($rows, static fn (Row $row): Row => $row);
        $inside = array_filter($rows, static fn (Row $row): bool => $row->one('nature', PlaceNature::class)->isInside());
        if (Tracking::One === $retracking->to && \count($inside) > 1) {
            throw RefusedRetracking::isInSeveralPlaces();
        }
        foreach ($rows as $row) {
            $this->convertBalance($item, $row, $retracking);
        }
    }

    private function convertBalance(Item $item, Row $row, Retracking $retracking): void
    {
        $nature = $row->one('nature', PlaceNature::class);
        if (PlaceNature::Tray === $nature) {
            throw CatalogueRefused::bringHomeFirst($item->name, $row->text('address'));
        }
        $was = $row->int('quantity');
        $quantity = $nature->isInside() ? $retracking->exactly($was, $row->text('address')) : $retracking->converted($was);
        $balance = ['item_id' => $item->id, 'place_id' => $row->int('place_id')];
        if (0 === $quantity) {
            $this->database->delete('balance', $balance);
        } else {
            $this->database->update('balance', ['quantity' => $quantity], $balance);
        }
    }
}
