<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use App\Room\Catalogue\ContentsReading;
use App\Room\Catalogue\ThingRow;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelText;
use Lottel\Core\Label\ScanCode;

/** Says what stands on the label of a place or an item. */
final readonly class MakeLabels
{
    public const MOST = 500;

    public function __construct(private Connection $database, private ContentsReading $contents)
    {
    }

    public function ofPlace(LabelledPlace $place, LabelFormat $format, bool $hasCode): LabelText
    {
        $contents = LabelFormat::Contents === $format ? array_map(self::inList(...), $this->contents->of($place->id, $place->scheme())) : [];
        $lines = LabelFormat::Layer === $format
            ? [\sprintf('under %s%s', null === $place->parentAddress ? '' : $place->parentAddress.': ', $place->name)]
            : [$place->name];

        return new LabelText($place->address, $lines, $hasCode ? (string) ScanCode::ofPlace($place->id) : null, null, $contents);
    }

    /**
     * The label of a folder in which a kit waits: its number, what is in it, when that is due, where the folder stands.
     *
     * @throws Unknown if no kit waits in it
     */
    public function ofFolder(int $place, bool $hasCode): LabelText
    {
        $columns = $this->database->fetchAssociative(
            "SELECT p.address, k.name, k.due_on, h.address AS home FROM place p JOIN kit k ON k.tray_id = p.id
             LEFT JOIN folder f ON f.place_id = p.id LEFT JOIN place h ON h.id = f.home_id WHERE p.id = ? AND p.kind = 'folder'",
            [$place],
        );
        if (false === $columns) {
            throw Unknown::folder();
        }
        $row = new Row($columns);
        $due = $row->textOrNull('due_on');
        $lines = [
            $row->text('name'),
            null === $due ? '' : 'due '.(new \DateTimeImmutable($due))->format('j M Y'),
            null === $row->textOrNull('home') ? '' : 'stands in '.$row->text('home'),
        ];

        return new LabelText(
            'F'.preg_replace('/\D/', '', $row->text('address')),
            array_values(array_filter($lines, static fn (string $line): bool => '' !== $line)),
            $hasCode ? (string) ScanCode::ofPlace($place) : null,
        );
    }

    public function ofItem(LabelledItem $item, LabelFormat $format, bool $hasCode): LabelText
    {
        $isSwatch = LabelFormat::Swatch === $format;
        $lines = $isSwatch ? [$item->name, $item->maker] : [$item->maker, null === $item->home ? '' : 'home '.$item->home];
        $head = $isSwatch && '' !== $item->colourName ? $item->colourName : $item->name;

        return new LabelText(
            $head,
            array_values(array_filter($lines, static fn (string $line): bool => '' !== $line && $line !== $head)),
            $hasCode ? (string) ScanCode::ofItem($item->id) : null,
            $item->colour,
            [],
            false,
        );
    }

    public function ofWish(WishRow $wish, bool $hasCode): LabelText
    {
        return match (true) {
            null !== $wish->place => $this->ofPlace($wish->place, $wish->format, $hasCode),
            null !== $wish->item => $this->ofItem($wish->item, $wish->format, $hasCode),
            default => throw new \LogicException('A label is of a place or of an item.'),
        };
    }

    /** @return list<WishRow> the labels that wait to be printed, the places in order of their addresses */
    public function waiting(int $most = self::MOST): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT w.id AS wish, w.format, w.reason, w.place_id, w.item_id, p.address, p.name AS place_name, p.scheme, o.address AS parent_address,
                    i.name AS item_name, i.maker, i.colour, i.colour_name, h.address AS home
             FROM label_wish w LEFT JOIN place p ON p.id = w.place_id LEFT JOIN place o ON o.id = p.parent_id LEFT JOIN unit u ON u.id = p.unit_id
             LEFT JOIN item i ON i.id = w.item_id LEFT JOIN place h ON h.id = i.home_id
             ORDER BY u.walk, p.front_y, p.front_x, p.id, i.name LIMIT ?',
            [$most],
            [ParameterType::INTEGER],
        );

        return Row::each($rows, WishRow::of(...));
    }

    /**
     * @param list<int> $wishes
     *
     * @return list<WishRow> those of the waiting labels that were chosen
     */
    public function chosen(array $wishes): array
    {
        return array_values(array_filter($this->waiting(), static fn (WishRow $wish): bool => \in_array($wish->id, $wishes, true)));
    }

    private static function inList(ThingRow $row): string
    {
        return $row->thing->name.('' === $row->thing->maker ? '' : ', '.$row->thing->maker);
    }
}
