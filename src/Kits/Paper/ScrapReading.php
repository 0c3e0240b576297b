<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Stores\Place;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Sheet;

/** What the room has of scraps already: which are alike, where their like lives, and which sizes come up often. */
final readonly class ScrapReading
{
    private const MOST_SIZES = 6;
    private const MOST_PAPERS = 200;

    public function __construct(private Connection $database, private Items $items)
    {
    }

    /** Returns the scrap of a paper that is as large and lives there; turned, its pattern or grain runs the other way. Null where there is none. */
    public function like(Item $paper, Sheet $sheet, ?Place $home): ?Item
    {
        $id = $this->database->fetchOne(
            "SELECT id FROM item WHERE kind = 'scrap' AND removed_at IS NULL AND outline IS NULL AND parent_id = :paper AND tracking = 'count'
                AND home_id IS :home AND ((sheet_width = :width AND sheet_height = :height AND direction IS :direction)
                    OR (sheet_width = :height AND sheet_height = :width AND direction IS :turned)) ORDER BY id LIMIT 1",
            [
                'paper' => $paper->id,
                'home' => $home?->id,
                'direction' => $sheet->direction?->value,
                'turned' => $sheet->direction?->turned()->value,
                'width' => $sheet->size?->width->ticks,
                'height' => $sheet->size?->height->ticks,
            ],
        );

        return false === $id ? null : $this->items->one(Row::number($id));
    }

    /** @return list<Size> sizes that several scraps have, the commonest first */
    public function usualSizes(): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT sheet_width, sheet_height FROM item WHERE kind = 'scrap' AND removed_at IS NULL AND sheet_width IS NOT NULL AND outline IS NULL
             GROUP BY sheet_width, sheet_height HAVING count(*) > 1 ORDER BY count(*) DESC, sheet_width * sheet_height LIMIT ".self::MOST_SIZES,
        );

        return Row::each($rows, static fn (Row $row): Size => Size::ofTicks($row->int('sheet_width'), $row->int('sheet_height')));
    }

    /** @return array<int, string> papers that a scrap can be cut from, those of about a colour first */
    public function papersNear(string $colour): array
    {
        $wanted = Lab::of(Srgb::ofHex($colour));
        $rows = Row::each(
            $this->database->fetchAllAssociative(
                "SELECT id, name, colour FROM item WHERE kind = 'paper' AND parent_id IS NULL AND removed_at IS NULL ORDER BY name",
            ),
            static fn (Row $row): Row => $row,
        );
        $far = static fn (Row $row): float => null === $row->textOrNull('colour')
            ? \INF
            : Difference::between($wanted, Lab::of(Srgb::ofHex($row->text('colour'))));
        usort($rows, static fn (Row $a, Row $b): int => $far($a) <=> $far($b));
        $papers = [];
        foreach (\array_slice($rows, 0, self::MOST_PAPERS) as $row) {
            $papers[$row->int('id')] = $row->text('name');
        }

        return $papers;
    }

    /** @return list<NamedPaper> the papers that a scrap can be cut from: those of the asked colour first, the largest of them before the others */
    public function parents(PieceQuestion $question): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT id, name FROM item WHERE kind = 'paper' AND removed_at IS NULL
             ORDER BY colour_name <> '' AND lower(colour_name) = :asked DESC,
                CASE WHEN lower(colour_name) = :asked THEN coalesce(sheet_width * sheet_height, 0) END DESC, name LIMIT 200",
            ['asked' => mb_strtolower($question->fields['colour'] ?? '')],
        );

        return Row::each($rows, static fn (Row $row): NamedPaper => new NamedPaper($row->int('id'), $row->text('name')));
    }
}
