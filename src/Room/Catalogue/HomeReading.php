<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Room\Stores\InnerRow;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\PlaceRow;
use App\Room\Stores\ReachOfPlaces;
use App\Room\Stores\RoomReading;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Catalogue\Handling;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\ChildReach;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\Fit;
use Lottel\Core\Homes\HomeCandidate;
use Lottel\Core\Homes\HomeProposal;
use Lottel\Core\Homes\HomeRanking;
use Lottel\Core\Homes\NewBasket;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Words\Counted;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Contracts\Service\ResetInterface;

/** Homes for things that have none, things that ask to be filed, and how full places are. */
final class HomeReading implements ResetInterface
{
    private const SAMPLE = 10;
    private const PROPOSALS = 3;
    private const MOST = 60;
    private const MOST_WARNINGS = 3;

    /** @var list<PlaceForHome>|null */
    private ?array $places = null;

    public function __construct(
        private readonly Connection $database,
        private readonly ReachOfPlaces $reach,
        private readonly RoomReading $room,
        private readonly PlaceReading $stores,
        private readonly ClockInterface $clock,
    ) {
    }

    public function reset(): void
    {
        $this->places = null;
    }

    /** @return list<ToFile> things in a basket of new things that have been used often enough to be filed */
    public function toBeFiled(): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.*, p.address AS home, p.file_after_uses, b.quantity
             FROM place p JOIN item i ON i.home_id = p.id JOIN balance b ON b.item_id = i.id AND b.place_id = p.id
             WHERE p.file_after_uses IS NOT NULL AND i.used_at IS NOT NULL ORDER BY i.name',
        );
        $things = Row::each($rows, static fn (Row $row): array => [ThingRow::of($row), $row->int('file_after_uses'), $row->text('home')]);
        $uses = $this->usesOf(array_map(static fn (array $thing): int => $thing[0]->id, $things));
        $done = array_values(array_filter($things, static fn (array $thing): bool => (new NewBasket($thing[1]))->isDone($uses[$thing[0]->id] ?? 0)));
        usort($done, static fn (array $a, array $b): int => ($uses[$b[0]->id] ?? 0) <=> ($uses[$a[0]->id] ?? 0));

        return array_map(
            fn (array $thing): ToFile => $this->toFile($thing[0], \sprintf('used %s, still in %s', Counted::times($uses[$thing[0]->id] ?? 0), $thing[2])),
            \array_slice($done, 0, self::MOST),
        );
    }

    /** @return list<ToFile> things without a home that are in the room */
    public function withoutHome(int $most = 40): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, p.address AS lies_in, p.nature = 'unfiled' AS is_on_heap
             FROM item i JOIN balance b ON b.item_id = i.id JOIN place p ON p.id = b.place_id AND p.nature IN ('unfiled', 'storage')
             WHERE i.home_id IS NULL GROUP BY i.id ORDER BY i.name LIMIT ?",
            [$most],
            [ParameterType::INTEGER],
        );

        return Row::each(
            $rows,
            fn (Row $row): ToFile => $this->toFile(ThingRow::of($row), $row->flag('is_on_heap') ? 'not filed' : 'lies in '.$row->text('lies_in')),
        );
    }

    /** Returns one thing with the homes that propose themselves for it. */
    public function forItem(ItemRow $item): ToFile
    {
        $row = $this->database->fetchAssociative('SELECT * FROM item WHERE id = ?', [$item->id]) ?: [];

        return $this->toFile(ThingRow::of(new Row($row), 1), null === $item->home ? 'has no home' : 'lives in '.$item->home);
    }

    /**
     * Returns how full and how heavy a place is, what is wrong with that, and what does not belong in it.
     *
     * @param list<ThingRow> $contents
     */
    public function facts(PlaceRow $place, array $contents): PlaceFacts
    {
        $sum = self::sum($contents);
        $capacity = $this->capacity($place);

        return new PlaceFacts(
            $capacity?->fullness($sum),
            $capacity?->isOverFull($sum) ?? false,
            (int) round($sum->grams),
            $capacity?->load($sum),
            \count($contents),
            $sum->guessed,
            [...$capacity?->warnings($sum) ?? [], ...$this->reachWarnings($place, $contents)],
            self::misfiled($place, $contents),
        );
    }

    /** Returns the home that proposes itself for a new thing: where its like is at home, or what a label says; null where nothing speaks for one. */
    public function forNew(PastedThing $thing): ?HomeProposal
    {
        return HomeRanking::worthAGuess($this->ranked(ThingRow::ofNew($thing)));
    }

    /**
     * Returns in which part of a place each of its loose things would best lie; what fits none of them as well as any is left out.
     *
     * @param list<ThingRow> $loose
     * @param list<InnerRow> $parts
     *
     * @return array<int, string> address by item
     */
    public function parts(array $loose, array $parts): array
    {
        if ([] === $parts) {
            return [];
        }
        $addresses = array_map(static fn (InnerRow $part): string => $part->address, $parts);
        $best = [];
        foreach (\array_slice($loose, 0, self::MOST) as $row) {
            $best[$row->id] = HomeRanking::clearlyBest($this->ranked($row, $addresses))?->address;
        }

        return array_filter($best, static fn (?string $address): bool => null !== $address);
    }

    private function toFile(ThingRow $row, string $note): ToFile
    {
        return new ToFile($row, $note, $this->proposals($row));
    }

    /** @return list<HomeProposal> the best homes for a thing, with reasons */
    private function proposals(ThingRow $row): array
    {
        return \array_slice($this->ranked($row), 0, self::PROPOSALS);
    }

    /**
     * @param list<string>|null $only the addresses that may be chosen from
     *
     * @return list<HomeProposal> best first
     */
    private function ranked(ThingRow $row, ?array $only = null): array
    {
        $companions = $this->homesOfCompanions($row->id);
        $box = $row->box ?? TypicalSize::box($row->thing->kind);
        $handling = Handling::ofKind($row->thing->kind);
        $candidates = [];
        foreach ($this->places() as $for) {
            $place = $for->place;
            if (null !== $only && !\in_array($place->address, $only, true)) {
                continue;
            }
            $candidates[] = new HomeCandidate(
                $place->address,
                $place->saysKind,
                $place->saysMaker,
                $place->saysTheme,
                $for->sample,
                $for->roomLeft,
                $for->reachSeconds,
                !(new Fit())->isTooLarge($box, $place->inside, $handling),
                \in_array($place->id, $companions, true),
                $place->alsoKinds,
            );
        }

        return (new HomeRanking())->rank($row->thing, $candidates, HomeRanking::usesAMonth($this->usesLately($row->id)));
    }

    /** @return list<int> places */
    private function homesOfCompanions(int $item): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.home_id FROM companion c JOIN item i ON i.id = CASE WHEN c.item_id = :item THEN c.other_id ELSE c.item_id END
             WHERE (c.item_id = :item OR c.other_id = :item) AND i.home_id IS NOT NULL',
            ['item' => $item],
        );

        return Row::each($rows, static fn (Row $row): int => $row->int('home_id'));
    }

    private function usesLately(int $item): int
    {
        $since = $this->clock->now()->modify(\sprintf('-%d months', HomeRanking::MONTHS))->format('Y-m-d');

        return Row::number($this->database->fetchOne('SELECT count(*) FROM item_use WHERE item_id = ? AND at >= ?', [$item, $since]));
    }

    /**
     * Counts uses from the lines of these items alone: the database does so only where their ids stand in the question.
     *
     * @param list<int> $items
     *
     * @return array<int, int> by item
     */
    private function usesOf(array $items): array
    {
        $uses = [];
        foreach (array_chunk($items, 500) as $some) {
            $marks = implode(', ', array_fill(0, \count($some), '?'));
            $rows = $this->database->fetchAllAssociative("SELECT item_id, count(*) AS uses FROM item_use WHERE item_id IN ($marks) GROUP BY item_id", $some);
            foreach ($rows as $columns) {
                $row = new Row($columns);
                $uses[$row->int('item_id')] = $row->int('uses');
            }
        }

        return $uses;
    }

    /**
     * @param list<ThingRow> $contents
     *
     * @return list<Misfiled>
     */
    private static function misfiled(PlaceRow $place, array $contents): array
    {
        $belonging = $place->belonging();
        $misfiled = [];
        foreach ($contents as $row) {
            $why = $belonging->excludes($row->thing) ?? self::isTooLarge($row, $place);
            if (null !== $why) {
                $misfiled[] = new Misfiled($row->thing, $why);
            }
        }

        return $misfiled;
    }

    private static function isTooLarge(ThingRow $row, PlaceRow $place): ?string
    {
        return (new Fit())->isTooLarge($row->box, $place->inside, Handling::ofKind($row->thing->kind)) ? 'too large for it' : null;
    }

    /**
     * @param list<ThingRow> $contents
     *
     * @return list<string>
     */
    private function reachWarnings(PlaceRow $place, array $contents): array
    {
        $height = $this->room->heightOf($place);
        $warnings = array_map(
            static fn (ThingRow $row): ?string => ChildReach::warning($row->thing->name, $place->address, $row->hazards, $place->isChildSafe, $height),
            $contents,
        );

        return \array_slice(array_values(array_filter($warnings, static fn (?string $warning): bool => null !== $warning)), 0, self::MOST_WARNINGS);
    }

    /** @param list<ThingRow> $contents */
    private static function sum(array $contents): Contents
    {
        return array_reduce($contents, static fn (Contents $sum, ThingRow $row): Contents => $sum->plus($row->contents()), new Contents(0, 0, 0));
    }

    private function capacity(PlaceRow $place): ?Capacity
    {
        return $place->capacity($this->room->heightOf($place));
    }

    /** @return list<PlaceForHome> all places with a few of their contents, the room that is left and the reach from the bench */
    private function places(): array
    {
        if (null !== $this->places) {
            return $this->places;
        }
        [$samples, $counts] = $this->samples();

        return $this->places = array_map(function (PlaceRow $place) use ($samples, $counts): PlaceForHome {
            $sample = $samples[$place->id] ?? [];

            return new PlaceForHome(
                $place,
                array_map(static fn (ThingRow $row): Thing => $row->thing, $sample),
                HomeRanking::roomLeft($this->capacity($place), self::sum($sample), \count($sample), $counts[$place->id] ?? 0),
                $this->reach->seconds($place->id) ?? 0.0,
            );
        }, $this->stores->forHomes());
    }

    /** @return array{array<int, list<ThingRow>>, array<int, int>} a few things of each place, and how many there are */
    private function samples(): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT * FROM (
                 SELECT i.*, b.place_id AS lies_in, b.quantity, row_number() OVER (PARTITION BY b.place_id ORDER BY i.id) AS nth,
                        count(*) OVER (PARTITION BY b.place_id) AS many
                 FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id WHERE p.unit_id IS NOT NULL)
             WHERE nth <= ?',
            [self::SAMPLE],
            [ParameterType::INTEGER],
        );
        $samples = $counts = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $place = $row->int('lies_in');
            $samples[$place][] = ThingRow::of($row);
            $counts[$place] = $row->int('many');
        }

        return [$samples, $counts];
    }
}
