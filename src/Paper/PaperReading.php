<?php

declare(strict_types=1);

namespace App\Paper;

use App\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\Length;

/** The papers and scraps of the room with their measures. */
final readonly class PaperReading
{
    /** What is so much too small on its sides is still worth being told. */
    private const NEARLY = Length::TICKS_PER_INCH / 2;
    private const MOST = 600;
    private const MOST_UNMEASURED = 8;
    private const COLUMNS = <<<'SQL'
        SELECT i.*, coalesce(s.stored, 0) AS stored, s.place_id, p.address,
            (SELECT coalesce(sum(n.quantity - n.taken), 0) FROM need n WHERE n.item_id = i.id AND n.state = 'open') AS wished
        FROM item i
        LEFT JOIN (SELECT b.item_id, sum(b.quantity) AS stored, min(b.place_id) AS place_id FROM balance b JOIN place l ON l.id = b.place_id
            WHERE l.nature IN ('storage', 'unfiled') GROUP BY b.item_id) s ON s.item_id = i.id
        LEFT JOIN place p ON p.id = coalesce(s.place_id, i.home_id)
        SQL;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<PaperRow> all papers, also those of which none is left, and the scraps that are there */
    public function all(): array
    {
        $rows = $this->database->fetchAllAssociative(
            self::COLUMNS." WHERE i.removed_at IS NULL AND (i.kind = 'paper' OR (i.kind = 'scrap' AND s.stored > 0)) ORDER BY i.name",
        );

        return Row::each($rows, PaperRow::of(...));
    }

    /**
     * What might be large enough for a piece, or nearly, and is of about the colour: the smallest first.
     *
     * @return list<PaperRow>
     */
    public function candidates(PieceQuestion $question): array
    {
        if (null === $question->piece) {
            return [];
        }
        $sides = [$question->piece->width->ticks, $question->piece->height->ticks];
        $rows = $this->database->fetchAllAssociative(
            self::COLUMNS." WHERE i.removed_at IS NULL AND i.kind IN ('paper', 'scrap') AND s.stored > 0
                AND max(i.sheet_width, i.sheet_height) >= CAST(:long AS INTEGER) AND min(i.sheet_width, i.sheet_height) >= CAST(:short AS INTEGER)
                AND (:colours IS NULL OR i.colour IN (SELECT value FROM json_each(:colours)))
             ORDER BY i.sheet_width * i.sheet_height, i.id LIMIT ".self::MOST,
            ['long' => max($sides) - self::NEARLY, 'short' => min($sides) - self::NEARLY, 'colours' => $this->colours($question->colour)],
        );

        return Row::each($rows, PaperRow::of(...));
    }

    /** @return list<PaperRow> of the colour, but nobody has said how large they are */
    public function unmeasured(?ColourWanted $colour): array
    {
        $rows = $this->database->fetchAllAssociative(
            self::COLUMNS." WHERE i.removed_at IS NULL AND i.kind IN ('paper', 'scrap') AND s.stored > 0 AND i.sheet_width IS NULL
                AND (:colours IS NULL OR i.colour IN (SELECT value FROM json_each(:colours))) ORDER BY i.name LIMIT ".self::MOST_UNMEASURED,
            ['colours' => $this->colours($colour)],
        );

        return Row::each($rows, PaperRow::of(...));
    }

    /** The colours of the catalogue that are what is wanted or not far from it, as a list for the database; null for all. */
    private function colours(?ColourWanted $wanted): ?string
    {
        if (null === $wanted) {
            return null;
        }
        $known = Row::words($this->database->fetchFirstColumn('SELECT DISTINCT colour FROM item WHERE colour IS NOT NULL'));

        return json_encode(array_values(array_filter($known, static fn (string $hex): bool => $wanted->isMetBy(Srgb::ofHex($hex)))), \JSON_THROW_ON_ERROR);
    }
}
