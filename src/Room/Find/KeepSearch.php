<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** Searches that are kept under a name, to be asked again. */
final readonly class KeepSearch
{
    private const MOST = 40;

    public function __construct(private Connection $database)
    {
    }

    /** A name that is there already is for this search from now on. */
    public function __invoke(string $name, string $query): void
    {
        $this->database->executeStatement(
            'INSERT INTO saved_search (name, query) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET query = excluded.query',
            [$name, $query],
        );
    }

    public function forget(int $id): void
    {
        $this->database->delete('saved_search', ['id' => $id]);
    }

    /** @return list<SavedSearch> */
    public function all(): array
    {
        return Row::each($this->database->fetchAllAssociative('SELECT * FROM saved_search ORDER BY name LIMIT '.self::MOST), SavedSearch::of(...));
    }
}
