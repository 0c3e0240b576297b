<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Room\Undo\HasPages;
use Doctrine\DBAL\Connection;

/** After an undo one stays on the page of a kit that is still there. */
final readonly class KitPages implements HasPages
{
    public function __construct(private Connection $database)
    {
    }

    public function pagesBeginWith(): string
    {
        return 'kits';
    }

    public function isThere(string $subject): bool
    {
        return false !== $this->database->fetchOne('SELECT 1 FROM kit WHERE id = ? AND removed_at IS NULL', [$subject]);
    }

    public function otherwise(): string
    {
        return 'plan';
    }
}
