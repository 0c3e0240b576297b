<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Platform\Steps\Refusal;
use App\Room\Undo\StaysTrue;

/** A page has one place in all albums. */
final readonly class InOneAlbum implements StaysTrue
{
    public function restsOn(): array
    {
        return ['album_page', 'album'];
    }

    public function broken(): string
    {
        return 'SELECT coalesce(i.name, k.name) FROM album_page a LEFT JOIN item i ON i.id = a.item_id LEFT JOIN kit k ON k.id = a.kit_id
             JOIN album b ON b.id = a.album_id AND b.removed_at IS NULL
             WHERE a.item_id IS NOT NULL OR a.kit_id IS NOT NULL GROUP BY a.item_id, a.kit_id HAVING count(*) > 1 LIMIT 1';
    }

    public function refusal(string $name): Refusal
    {
        return ShelfRefused::isInAnAlbum($name);
    }
}
