<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Platform\Database\Row;
use App\Room\Catalogue\CatalogueRefused;
use App\Room\Catalogue\CountsThings;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Retracking;

/** A loan is written down as its thing was counted then. */
final readonly class LoansStayCounted implements CountsThings
{
    public function __construct(private Connection $database)
    {
    }

    public function recount(Item $item, Retracking $retracking): void
    {
        $loan = $this->database->fetchAssociative(
            'SELECT l.way, c.name FROM loan l JOIN contact c ON c.id = l.contact_id WHERE l.item_id = ? AND l.ended < l.quantity LIMIT 1',
            [$item->id],
        );
        if (false !== $loan) {
            $row = new Row($loan);
            throw CatalogueRefused::isOnLoan($item->name, $row->text('way').('lent' === $row->text('way') ? ' to ' : ' from ').$row->text('name'));
        }
    }
}
