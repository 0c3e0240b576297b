<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Kits\Kits\OpenKits;
use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\RainbowOrder;
use Lottel\Core\Colour\Srgb;

/** The colours of what is in the room, each once under its name, in rainbow order. */
final readonly class SwatchBook
{
    public const MOST = 500;

    private const LABEL = "CASE WHEN i.colour_name = '' THEN i.name ELSE i.colour_name END";
    private const OF_KIND = "i.removed_at IS NULL AND i.colour IS NOT NULL AND i.kind <> 'scrap' AND (:kind IS NULL OR i.kind = :kind)";

    public function __construct(private Connection $database)
    {
    }

    /** @return array{list<Swatch>, int} at most MOST, those of which there are most things first chosen; and how many there are */
    public function swatches(?Kind $kind): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT min(i.id) AS id, i.colour, '.self::LABEL.' AS label, count(*) AS things FROM item i WHERE '.self::OF_KIND.'
             GROUP BY i.colour, label ORDER BY things DESC, label',
            ['kind' => $kind?->value],
        );
        $shown = \array_slice($rows, 0, self::MOST);
        $homes = $this->database->fetchAllKeyValue(
            'SELECT i.id, h.address FROM item i JOIN place h ON h.id = i.home_id WHERE i.id IN (SELECT value FROM json_each(?))',
            [json_encode(array_column($shown, 'id'), \JSON_THROW_ON_ERROR)],
        );
        $swatches = Row::each($shown, static fn (Row $row): Swatch => Swatch::of($row, Row::word($homes[$row->int('id')] ?? false)));
        usort($swatches, static fn (Swatch $a, Swatch $b): int => strnatcasecmp($a->name(), $b->name()));

        return [RainbowOrder::sorted($swatches, static fn (Swatch $swatch): Srgb => $swatch->named->colour), \count($rows)];
    }

    /** @return list<Kind> of which something has a colour */
    public function kinds(): array
    {
        $has = static fn (Kind $kind): string => 'EXISTS (SELECT 1 FROM item WHERE kind = '."'{$kind->value}' AND colour IS NOT NULL AND removed_at IS NULL)";
        $kinds = array_values(array_filter(Kind::cases(), static fn (Kind $kind): bool => Kind::Scrap !== $kind));
        $row = $this->database->fetchNumeric('SELECT '.implode(', ', array_map($has, $kinds)));

        return array_values(array_filter($kinds, static fn (int $at): bool => (bool) ($row[$at] ?? false), \ARRAY_FILTER_USE_KEY));
    }

    /**
     * @param list<Swatch> $swatches in rainbow order
     *
     * @return array<string, list<Swatch>> by family
     */
    public static function byFamily(array $swatches): array
    {
        $families = [];
        foreach ($swatches as $swatch) {
            $families[Family::of($swatch->named->colour)->value][] = $swatch;
        }

        return $families;
    }

    /** @return list<array{string, string}> open kits with a design: kit:revision, and the kit's name */
    public function designs(): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT k.id, k.name, d.revision FROM kit k JOIN design d ON d.kit_id = k.id
             WHERE '.OpenKits::ARE.' ORDER BY k.id DESC LIMIT 60',
        ), static fn (Row $row): array => [$row->int('id').':'.$row->int('revision'), $row->text('name')]);
    }
}
