<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Platform\Web\KnownColours;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\ColourWords;
use Symfony\Contracts\Service\ResetInterface;

/** The names that a room gives to colours. */
final class OwnColours implements KnownColours, ResetInterface
{
    private ?ColourWords $colours = null;

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->colours = null;
    }

    public function words(): ColourWords
    {
        return $this->colours ??= new ColourWords($this->byName());
    }

    public function byName(): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT colour_name, max(colour) AS colour FROM item WHERE colour IS NOT NULL AND colour_name <> '' AND removed_at IS NULL
             GROUP BY colour_name ORDER BY colour_name LIMIT 400",
        );
        $colours = $spelt = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $name = $spelt[mb_strtolower($row->text('colour_name'))] ??= $row->text('colour_name');
            $colours[$name] = max($colours[$name] ?? '', $row->text('colour'));
        }

        return $colours;
    }
}
