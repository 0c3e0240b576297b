<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** What every page may want to say of the catalogue as a whole. */
final readonly class CatalogueState
{
    public function __construct(private Connection $database)
    {
    }

    public function isBare(): bool
    {
        return false === $this->database->fetchOne('SELECT 1 FROM item WHERE removed_at IS NULL LIMIT 1');
    }

    public function notFiled(): int
    {
        return Row::number($this->database->fetchOne("SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature = 'unfiled'"));
    }
}
