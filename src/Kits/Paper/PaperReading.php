<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\Length;

/** The papers and scraps of the room with their measures. */
final readonly class PaperReading
{
    /** What is so much too small on its sides is still worth being told. */
    private const NEARLY = Length::TICKS_PER_INCH / 2;
    private const MOST = 400;
    private const MOST_UNMEASURED = 8;
    private const COLUMNS = 'i.id, i.name, i.maker, i.collection, i.kind, i.colour, i.colour_name, i.parent_id, i.sheet_width, i.sheet_height, i.grammage,
        i.basis, i.direction, i.back_colour, i.finish, i.is_weighed, i.outline';

    public function __construct(private Connection $database)
    {
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

        return $this->papers(
            'max(i.sheet_width, i.sheet_height) >= CAST(:long AS INTEGER) AND min(i.sheet_width, i.sheet_height) >= CAST(:short AS INTEGER)',
            'i.sheet_width * i.sheet_height, i.id LIMIT '.self::MOST,
            $question->colour,
            ['long' => max($sides) - self::NEARLY, 'short' => min($sides) - self::NEARLY],
        );
    }

    /** @return list<PaperRow> of the colour, but nobody has said how large they are */
    public function unmeasured(?ColourWanted $colour): array
    {
        return $this->papers('i.sheet_width IS NULL', 'i.name LIMIT '.self::MOST_UNMEASURED, $colour, []);
    }

    /**
     * @param array<string, int> $values
     *
     * @return list<PaperRow> papers and scraps that lie in a drawer, a few of them
     */
    private function papers(string $condition, string $order, ?ColourWanted $colour, array $values): array
    {
        $rows = $this->database->fetchAllAssociative(
            "WITH few AS (SELECT i.id FROM item i WHERE i.removed_at IS NULL AND i.kind IN ('paper', 'scrap') AND $condition
                AND EXISTS (SELECT 1 FROM lies_here l WHERE l.item_id = i.id)
                AND (:colours IS NULL OR i.colour IN (SELECT value FROM json_each(:colours))) ORDER BY $order),
             laid AS (SELECT ".self::COLUMNS.",
                (SELECT min(l.place_id) FROM lies_here l WHERE l.item_id = i.id) AS place_id FROM few JOIN item i ON i.id = few.id)
             SELECT i.*, p.address, s.here AS stored, s.wanted AS wished
             FROM laid i JOIN stock_of_item s ON s.item_id = i.id LEFT JOIN place p ON p.id = i.place_id ORDER BY $order",
            $values + ['colours' => $this->colours($colour)],
        );

        return Row::each($rows, PaperRow::of(...));
    }

    /** The colours of papers that are what is wanted or not far from it, as a list for the database; null for all. */
    private function colours(?ColourWanted $wanted): ?string
    {
        if (null === $wanted) {
            return null;
        }
        $known = Row::words(
            $this->database->fetchFirstColumn(
                "SELECT DISTINCT colour FROM item WHERE colour IS NOT NULL AND kind IN ('paper', 'scrap')",
            ),
        );

        return json_encode(array_values(array_filter($known, static fn (string $hex): bool => $wanted->isMetBy(Srgb::ofHex($hex)))), \JSON_THROW_ON_ERROR);
    }
}
