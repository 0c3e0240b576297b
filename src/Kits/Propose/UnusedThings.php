<?php

declare(strict_types=1);

namespace App\Kits\Propose;

use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use App\Room\Catalogue\Item;
use App\Room\Stores\ReachOfPlaces;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindWords;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Design\Sides;
use Lottel\Core\Proposal\PartOfCard;
use Lottel\Core\Proposal\Proposals;
use Lottel\Core\Proposal\ThingToUse;
use Lottel\Core\Year\CardChoice;

/** What is at home and free, and for how long it has not been used. */
final readonly class UnusedThings
{
    private const MOST = 400;

    /** Seconds to a thing of which nobody knows where it stands. */
    private const OUT_OF_THE_WAY = 60.0;
    private const SECONDS_OF_SEARCH = 0.02;

    public function __construct(private Connection $database, private RoomClock $roomClock, private ReachOfPlaces $reach)
    {
    }

    /** @param string $wants the occasion, empty for any */
    public function proposals(int $pieces, string $wants, Sides $panel, Sides $mat): Proposals
    {
        $isSheet = "i.tracking = 'count' AND i.outline IS NULL AND i.sheet_width IS NOT NULL AND i.colour IS NOT NULL";
        $papers = [...$this->rows(Kind::Paper, $isSheet, 1), ...$this->rows(Kind::Scrap, $isSheet, 1)];
        $sheets = [];
        foreach ($papers as $row) {
            $sheets[$row->int('id')] = $row;
        }

        return new Proposals(
            $this->stamps($wants),
            array_map($this->thing(...), $papers),
            array_map($this->thing(...), $this->pads()),
            array_map($this->thing(...), $this->rows(Kind::Embellishment, "i.tracking = 'count' AND i.colour IS NOT NULL", $pieces)),
            static fn (PartOfCard $part, ThingToUse $paper): bool => self::isEnough($sheets[$paper->id], PartOfCard::Panel === $part ? $panel : $mat, $pieces),
        );
    }

    /** @return list<Row> inks that one stamps with */
    private function pads(): array
    {
        return array_values(array_filter(
            $this->rows(Kind::Ink, 'i.colour IS NOT NULL', 1),
            static fn (Row $row): bool => !KindWords::isReInker($row->text('name')),
        ));
    }

    /** @return list<ThingToUse> */
    private function stamps(string $wants): array
    {
        $dies = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT c.item_id AS one, c.other_id AS other FROM companion c JOIN item a ON a.id = c.item_id JOIN item o ON o.id = c.other_id
             WHERE (a.kind = 'stamp set' AND o.kind = 'die') OR (a.kind = 'die' AND o.kind = 'stamp set')",
        ) as $columns) {
            $row = new Row($columns);
            $dies[$row->int('one')][] = $row->int('other');
            $dies[$row->int('other')][] = $row->int('one');
        }
        $ids = implode(', ', array_merge([0], ...array_values($dies)));
        $free = array_map(static fn (Row $row): int => $row->int('id'), $this->rows(Kind::Die, "i.id IN ($ids)", 1));
        $word = CardChoice::word($wants);

        return array_map(fn (Row $row): ThingToUse => $this->thing(
            $row,
            array_values(array_intersect($dies[$row->int('id')] ?? [], $free)),
            ThingToUse::speaksOf($word, $row->text('sentiments'), $row->text('name'), ...$row->texts('themes')),
        ), $this->rows(Kind::StampSet, 'TRUE', 1));
    }

    /** @param list<int> $with */
    private function thing(Row $row, array $with = [], bool $isFitting = true): ThingToUse
    {
        $since = $row->timeOrNull('used_at') ?? $row->timeOrNull('since');
        $days = null === $since ? 0 : max(0, (int) $since->diff($this->roomClock->today())->format('%r%a'));
        $colour = $row->textOrNull('colour');

        return new ThingToUse(
            $row->int('id'),
            null === $colour ? null : Srgb::ofHex($colour),
            $days,
            $this->reach->seconds($row->intOrNull('home_id') ?? 0) ?? self::OUT_OF_THE_WAY,
            'scrap' === $row->text('kind'),
            $with,
            $isFitting,
        );
    }

    /**
     * Returns the free things of a kind, those that have lain longest first. Things that were never used and those that were stand in an
     * index each; so only as many are looked at as are wanted.
     *
     * @return list<Row>
     */
    private function rows(Kind $kind, string $condition, int $atLeast): array
    {
        $rows = [];
        foreach (['i.used_at IS NULL' => 'i.since', 'i.used_at IS NOT NULL' => 'i.used_at'] as $which => $order) {
            $rows = [...$rows, ...$this->database->fetchAllAssociative(
                "SELECT i.id, i.name, i.kind, i.colour, i.sentiments, i.themes, i.used_at, i.since, i.sheet_width, i.sheet_height, i.home_id,
                        coalesce(i.used_at, i.since) AS idle_since, s.here - s.wanted AS free
                 FROM item i JOIN stock_of_item s ON s.item_id = i.id
                 WHERE i.kind = :kind AND $which AND i.removed_at IS NULL AND ($condition) AND free >= CAST(:least AS INTEGER)
                 ORDER BY $order, i.id LIMIT ".self::MOST,
                ['kind' => $kind->value, 'least' => $atLeast],
            )];
        }
        $rows = Row::each($rows, static fn (Row $row): Row => $row);
        usort($rows, static fn (Row $a, Row $b): int => [$a->textOrNull('idle_since'), $a->int('id')] <=> [$b->textOrNull('idle_since'), $b->int('id')]);

        return \array_slice($rows, 0, self::MOST);
    }

    /** How many sheets of a paper the pieces take; null where a cut plan would have to say it. */
    public function sheets(Item $paper, Sides $piece, int $pieces): ?int
    {
        [$width, $height] = [$paper->sheet->sheetWidth, $paper->sheet->sheetHeight];
        $stock = null === $width || null === $height ? null : new Stock('', $width, $height, $pieces, '', true);

        return $stock?->sheetsFor(new Piece('', $piece->width, $piece->height, $pieces, true, ''));
    }

    /** A cut plan says whether the pieces come out of what is free. */
    private static function isEnough(Row $paper, Sides $piece, int $pieces): bool
    {
        $stock = new Stock('', $paper->int('sheet_width'), $paper->int('sheet_height'), min(100, $paper->int('free')), '', 'scrap' !== $paper->text('kind'));
        $wanted = new Piece('', $piece->width, $piece->height, $pieces, true, '');
        if ($stock->inRows($wanted) >= $pieces) {
            return true;
        }
        if ($stock->atMost($wanted) < $pieces) {
            return false;
        }
        [$plan] = (new CutPlanner(seconds: self::SECONDS_OF_SEARCH))->plan([$wanted], [$stock]);

        return 0 === $plan->score->unplaced;
    }
}
