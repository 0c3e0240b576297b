<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;

/** What every page may want to say of the catalogue as a whole. */
final class CatalogueState implements ResetInterface
{
    private ?bool $isBare = null;
    private ?int $notFiled = null;

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->isBare = $this->notFiled = null;
    }

    public function isBare(): bool
    {
        return $this->isBare ??= false === $this->database->fetchOne('SELECT 1 FROM item WHERE removed_at IS NULL LIMIT 1');
    }

    public function notFiled(): int
    {
        return $this->notFiled ??= Row::number($this->database->fetchOne(
            "SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature = 'unfiled'",
        ));
    }
}
