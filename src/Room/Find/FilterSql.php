<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;
use Symfony\Component\Clock\ClockInterface;

/** Puts a filter into SQL. What fits is decided by the core, over the few different values that the catalogue has. */
final readonly class FilterSql
{
    private const STATES = [
        'home' => "EXISTS (SELECT 1 FROM balance b WHERE b.item_id = i.id AND b.place_id NOT IN (SELECT id FROM place WHERE nature <> 'storage'))",
        'out' => "i.id IN (SELECT b.item_id FROM place p CROSS JOIN balance b ON b.place_id = p.id WHERE p.nature = 'tray')",
        'lost' => "i.id IN (SELECT b.item_id FROM place p CROSS JOIN balance b ON b.place_id = p.id WHERE p.nature = 'outside' AND p.address = 'lost'
            AND b.quantity > 0)",
    ];

    public function __construct(private Connection $database, private ClockInterface $clock)
    {
    }

    /**
     * Returns what to select from, with its conditions, and their values.
     *
     * @return array{string, array<string, mixed>}
     */
    public function from(?string $query, FindFilter $filter): array
    {
        return $this->select($query, $filter, 'rowid / 2 AS id, bm25(finder, 10.0, 3.0, 2.0, 8.0) AS rank');
    }

    /**
     * The same where nobody asks what fits best.
     *
     * @return array{string, array<string, mixed>}
     */
    public function counted(?string $query, FindFilter $filter): array
    {
        return $this->select($query, $filter, 'rowid / 2 AS id');
    }

    /** @return array{string, array<string, mixed>} */
    private function select(?string $query, FindFilter $filter, string $found): array
    {
        $values = [];
        $conditions = ['i.removed_at IS NULL'];
        $from = 'item i';
        if (null !== $query) {
            $from .= " JOIN (SELECT $found FROM finder WHERE finder MATCH :query AND rowid % 2 = 0) found ON found.id = i.id";
            $values['query'] = $query;
        }
        if (null !== $filter->kind) {
            $conditions[] = 'i.kind = :kind';
            $values['kind'] = $filter->kind->value;
        }
        if ('' !== $filter->theme) {
            $conditions[] = 'i.themes IN (SELECT value FROM json_each(:themes))';
            $values['themes'] = json_encode($this->themesWith($filter->theme));
        }
        if (null !== $filter->colour) {
            $conditions[] = 'i.colour IN (SELECT value FROM json_each(:colours))';
            $values['colours'] = json_encode($this->near($filter->colour));
        }
        if (null !== $filter->panel) {
            $conditions[] =
                "i.kind IN (SELECT value FROM json_each(:cuttable)) AND i.sheet_width || 'x' || i.sheet_height IN (SELECT value FROM json_each(:sizes))";
            $cuttable = array_filter(Kind::cases(), static fn (Kind $kind): bool => $kind->isCut());
            $values['cuttable'] = json_encode(array_values(array_map(static fn (Kind $kind): string => $kind->value, $cuttable)));
            $values['sizes'] = json_encode($this->sizesHolding($filter->panel));
        }
        if ('' !== $filter->state) {
            $conditions[] = self::state($filter->state);
        }
        if (null !== $filter->unusedMonths) {
            $conditions[] = self::unused('since');
            $values['since'] = $this->monthsAgo($filter->unusedMonths);
        }

        return [$from.' WHERE '.implode(' AND ', $conditions), $values];
    }

    public static function state(string $state): string
    {
        return self::STATES[$state];
    }

    /** What came in later than that, or has never been in the room, cannot have been idle for so long. */
    public static function unused(string $since): string
    {
        return "(i.since < :$since AND (i.used_at IS NULL OR i.used_at < :$since))";
    }

    public function monthsAgo(int $months): string
    {
        return $this->clock->now()->modify(\sprintf('-%d months', $months))->format('Y-m-d');
    }

    /** @return list<string> the lists of themes in the catalogue that have one among them, as they are stored */
    private function themesWith(string $theme): array
    {
        $rows = $this->database->fetchAllAssociative('SELECT DISTINCT themes FROM item');
        $having = array_filter($rows, static fn (array $columns): bool => \in_array($theme, (new Row($columns))->texts('themes'), true));

        return Row::each(array_values($having), static fn (Row $row): string => $row->text('themes'));
    }

    /** @return list<string> the colours in the catalogue that are what is wanted */
    private function near(ColourWanted $wanted): array
    {
        $rows = $this->database->fetchAllAssociative('SELECT DISTINCT colour FROM item WHERE colour IS NOT NULL');
        $colours = Row::each($rows, static fn (Row $row): string => $row->text('colour'));

        return array_values(array_filter($colours, static fn (string $colour): bool => $wanted->isMetBy(Srgb::ofHex($colour))));
    }

    /** @return list<string> the sizes in the catalogue out of which a panel can be cut, turned or not */
    private function sizesHolding(Size $panel): array
    {
        $fits = [];
        $rows = $this->database->fetchAllAssociative('SELECT DISTINCT sheet_width, sheet_height FROM item WHERE sheet_width IS NOT NULL');
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $sheet = new Size(Length::ofTicks($row->int('sheet_width')), Length::ofTicks($row->int('sheet_height')));
            if ($panel->isWithin($sheet) || $panel->turned()->isWithin($sheet)) {
                $fits[] = $row->int('sheet_width').'x'.$row->int('sheet_height');
            }
        }

        return $fits;
    }
}
