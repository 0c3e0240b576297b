<?php

declare(strict_types=1);

namespace App\Labels;

use App\Stores\StoreReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelText;
use Lottel\Core\Label\ScanCode;

/** Says what stands on the label of a place or an item. */
final readonly class MakeLabels
{
    public function __construct(private Connection $database, private StoreReading $stores)
    {
    }

    /** @param array<string, mixed> $place */
    public function ofPlace(array $place, LabelFormat $format, bool $hasCode): LabelText
    {
        $id = (int) (is_numeric($place['id']) ? $place['id'] : 0);
        $contents = LabelFormat::Contents === $format
            ? array_map(static fn (array $row): string => (string) $row['name'].('' === $row['maker'] ? '' : ', '.$row['maker']), $this->stores->contents($id, (string) (\is_string($place['scheme']) ? $place['scheme'] : 'name')))
            : [];
        $name = \is_string($place['name']) ? $place['name'] : '';
        $lines = LabelFormat::Layer === $format ? [\sprintf('under %s%s', \is_string($place['parent_address'] ?? null) ? $place['parent_address'].': ' : '', $name)] : [$name];

        return new LabelText((string) (\is_string($place['address']) ? $place['address'] : ''), $lines, $hasCode ? (string) ScanCode::ofPlace($id) : null, null, $contents);
    }

    /** @param array<string, mixed> $item */
    public function ofItem(array $item, LabelFormat $format, bool $hasCode): LabelText
    {
        $text = static fn (string $key): string => \is_string($item[$key] ?? null) ? $item[$key] : '';
        $lines = LabelFormat::Swatch === $format ? [$text('name'), $text('maker')] : [$text('maker'), '' === $text('home') ? '' : 'home '.$text('home')];
        $head = LabelFormat::Swatch === $format && '' !== $text('colour_name') ? $text('colour_name') : $text('name');

        return new LabelText($head, array_values(array_filter($lines, static fn (string $line): bool => '' !== $line && $line !== $head)), $hasCode ? (string) ScanCode::ofItem((int) (is_numeric($item['id']) ? $item['id'] : 0)) : null, '' === $text('colour') ? null : $text('colour'), [], false);
    }

    /**
     * Returns the labels that wait to be printed, the places in order of their addresses.
     *
     * @return list<array<string, mixed>>
     */
    public function waiting(int $most = 500): array
    {
        return $this->database->fetchAllAssociative(
            'SELECT w.id AS wish, w.format, w.reason, w.at, w.place_id, w.item_id, p.address, p.name AS place_name, p.scheme, o.address AS parent_address, u.letters, i.name AS item_name, i.maker, i.colour, i.colour_name, h.address AS home
             FROM label_wish w LEFT JOIN place p ON p.id = w.place_id LEFT JOIN place o ON o.id = p.parent_id LEFT JOIN unit u ON u.id = p.unit_id LEFT JOIN item i ON i.id = w.item_id LEFT JOIN place h ON h.id = i.home_id
             ORDER BY u.walk, p.front_y, p.front_x, p.id, i.name LIMIT ?',
            [$most],
            [\Doctrine\DBAL\ParameterType::INTEGER],
        );
    }

    /** @param array<string, mixed> $wish */
    public function ofWish(array $wish, bool $hasCode): LabelText
    {
        $format = LabelFormat::from((string) (\is_string($wish['format']) ? $wish['format'] : 'front'));

        return null !== $wish['place_id']
            ? $this->ofPlace(['id' => $wish['place_id'], 'name' => $wish['place_name']] + $wish, $format, $hasCode)
            : $this->ofItem(['id' => $wish['item_id'], 'name' => $wish['item_name']] + $wish, $format, $hasCode);
    }
}
