<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Room\Stores\PlaceRow;
use Doctrine\DBAL\Connection;

/** Photos of open places with the things that are seen in them. */
final readonly class PlacePhotoReading
{
    public function __construct(private Connection $database, private KeepPhoto $photos)
    {
    }

    /** Returns the photo of a place with what lies in it, or has its home there; null where there is none, or its file is gone. */
    public function of(PlaceRow $place): ?PlacePhoto
    {
        return $this->photo($place->id, $place->address, $place->photo);
    }

    /**
     * Returns the photo in which things were seen at their home, with only these on it; null where they were in none, or have
     * another home by now.
     *
     * @param list<int> $items
     */
    public function ofItems(array $items): ?PlacePhoto
    {
        $row = $this->database->fetchAssociative(
            "SELECT p.id, p.address, p.photo FROM spot s JOIN place p ON p.id = s.place_id JOIN item i ON i.id = s.item_id
             JOIN place h ON h.id = i.home_id WHERE s.item_id IN (SELECT value FROM json_each(?)) AND p.photo IS NOT NULL AND p.retired_at IS NULL
                AND (h.id = p.id OR h.address LIKE p.address || '.%') ORDER BY s.id LIMIT 1",
            [json_encode($items)],
        );
        if (false === $row) {
            return null;
        }
        $place = new Row($row);

        return $this->photo($place->int('id'), $place->text('address'), $place->text('photo'))?->only($items);
    }

    /** @return list<string> the names of what lives in a place or its parts, to choose from */
    public function namesIn(PlaceRow $place): array
    {
        return Row::words($this->database->fetchFirstColumn(
            "SELECT DISTINCT i.name FROM item i JOIN place h ON h.id = i.home_id
             WHERE i.removed_at IS NULL AND (h.id = ? OR h.address LIKE ? || '.%') ORDER BY i.name LIMIT 400",
            [$place->id, $place->address],
        ));
    }

    private function photo(int $id, string $address, ?string $photo): ?PlacePhoto
    {
        $size = null === $photo ? null : $this->photos->size($photo);

        return null === $photo || null === $size ? null : new PlacePhoto($address, $photo, $size[0], $size[1], $this->things($id));
    }

    /** @return list<SpottedThing> the large ones first, so that a small one on them can be touched */
    private function things(int $place): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.id, i.name, s.x, s.y, s.width, s.height,
                    NOT EXISTS (SELECT 1 FROM balance b JOIN place l ON l.id = b.place_id
                                WHERE b.item_id = i.id AND (l.id = p.id OR l.address LIKE p.address || '.%')) AS is_out
             FROM spot s JOIN place p ON p.id = s.place_id JOIN item i ON i.id = s.item_id JOIN place h ON h.id = i.home_id
             WHERE p.id = ? AND i.removed_at IS NULL AND (h.id = p.id OR h.address LIKE p.address || '.%')
             ORDER BY s.width * s.height DESC, i.id",
            [$place],
        );

        return Row::each($rows, SpottedThing::of(...));
    }
}
