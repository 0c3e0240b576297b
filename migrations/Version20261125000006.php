<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Database\Row;
use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\SheetSize;

/**
 * Papers get typed measures. What was written about weight, direction and finish is read; what cannot be read is kept in the note.
 * A size is taken from a name that speaks of one.
 */
final class Version20261125000006 extends WatchingMigration
{
    private const DIRECTIONS = [
        'upright' => Direction::Height, 'up' => Direction::Height, 'along the height' => Direction::Height, 'across' => Direction::Width,
        'along the width' => Direction::Width, 'either way' => Direction::None, 'none' => Direction::None, 'no' => Direction::None,
    ];

    public function getDescription(): string
    {
        return 'Sheets with their measures: size, weight, direction, back, finish, outline, and the paper that a scrap was cut from.';
    }

    public function up(Schema $schema): void
    {
        foreach ([
            'sheet_width INTEGER DEFAULT NULL CHECK (sheet_width > 0)',
            'sheet_height INTEGER DEFAULT NULL CHECK (sheet_height > 0)',
            'grammage INTEGER DEFAULT NULL CHECK (grammage > 0)',
            'basis VARCHAR(5) DEFAULT NULL',
            "direction VARCHAR(4) DEFAULT NULL CHECK (direction IN ('none', 'w', 'h'))",
            'back_colour VARCHAR(7) DEFAULT NULL',
            "finish VARCHAR(60) NOT NULL DEFAULT ''",
            'is_weighed BOOLEAN NOT NULL DEFAULT 0',
            'outline CLOB DEFAULT NULL',
            'parent_id INTEGER DEFAULT NULL REFERENCES item (id)',
        ] as $column) {
            $this->addSql('ALTER TABLE item ADD COLUMN '.$column);
        }
        $this->addSql('CREATE INDEX item_parent ON item (parent_id)');
        $this->addSql('CREATE INDEX item_sheet ON item (kind, sheet_width)');
    }

    public function postUp(Schema $schema): void
    {
        $unit = LengthUnit::tryFrom(Row::word($this->connection->fetchOne('SELECT measure FROM room ORDER BY id LIMIT 1') ?: 'in')) ?? LengthUnit::Inch;
        $items = $this->connection->fetchAllAssociative(
            "SELECT id, name, kind, note, details FROM item WHERE kind IN ('paper', 'scrap', 'envelope', 'part-finished')",
        );
        foreach ($items as $columns) {
            $this->measure(new Row($columns), $unit);
        }
        $this->watch();
    }

    private function measure(Row $item, LengthUnit $unit): void
    {
        $details = $item->named('details');
        $isPaper = \in_array($item->text('kind'), ['paper', 'scrap'], true);
        $size = $isPaper ? SheetSize::inName($item->text('name'), $unit) : null;
        $weight = self::weight($details['weight'] ?? '');
        $direction = self::DIRECTIONS[mb_strtolower(trim($details['direction'] ?? ''))] ?? null;
        $unread = array_filter([
            null === $weight && isset($details['weight']) ? 'Weight: '.$details['weight'] : '',
            null === $direction && isset($details['direction']) ? 'Pattern or grain runs: '.$details['direction'] : '',
        ], static fn (string $line): bool => '' !== $line);
        $finish = mb_substr($details['finish'] ?? '', 0, 60);
        unset($details['weight'], $details['direction'], $details['finish']);
        $this->connection->update('item', [
            'sheet_width' => $size?->width->ticks,
            'sheet_height' => $size?->height->ticks,
            'grammage' => $weight?->milligrams,
            'basis' => $weight?->basis?->value,
            'direction' => $direction?->value,
            'finish' => $finish,
            'note' => trim(implode("\n", [$item->text('note'), ...$unread])),
            'details' => [] === $details ? '{}' : json_encode($details, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
        ], ['id' => $item->int('id')]);
    }

    private static function weight(string $text): ?Grammage
    {
        try {
            return '' === trim($text) ? null : Grammage::parse($text);
        } catch (InvalidGrammage) {
            return null;
        }
    }
}
