<?php

declare(strict_types=1);

namespace App\Platform\Bench;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Measure\Length;

/** What a large room has beside things and movements: people, dates, finished pieces and where they went, prices, loans, cuts, counts, planned kits. */
final readonly class FillEveryday
{
    private const PEOPLE = 200;
    private const PIECES = 300;
    private const GIVEN = 200;
    private const PRICES = 6_000;
    private const RULES = 400;
    private const LOANS = 40;
    private const CUTS = 2_000;
    private const COUNTS = 600;
    private const PLANNED = 40;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param callable(int): string $words
     * @param callable(int, int, int, int|null, int, string): int $write writes a line of the log: thing, from, to, kit, how much, why
     * @param array<string, int> $outside a tray and places that are none of the room's, by name
     * @param list<int> $places
     */
    public function fill(callable $words, callable $write, array $outside, array $places): void
    {
        $this->people($words);
        $this->pieces($words, $write, $outside, $places);
        $this->cuts($write, $outside);
        $this->bookkeeping();
        $this->planned($words);
    }

    /** @param callable(int): string $words */
    private function people(callable $words): void
    {
        for ($id = 1; $id <= self::PEOPLE; ++$id) {
            $name = ucwords($words(2)).' '.$id;
            $this->database->insert('contact', ['id' => $id, 'name' => $name, 'likes' => $words(3)]);
            $kind = 0 === $id % 4 ? 'anniversary' : 'birthday';
            $this->database->insert('occasion', [
                'contact_id' => $id, 'kind' => $kind, 'name' => $name.'’s '.$kind, 'month' => mt_rand(1, 12), 'day' => mt_rand(1, 28),
                'year' => 0 === $id % 3 ? null : mt_rand(1940, 2020), 'is_yearly' => 1, 'wants' => $kind, 'pieces' => 1, 'days_ahead' => 5,
            ]);
        }
    }

    /**
     * @param callable(int): string $words
     * @param callable(int, int, int, int|null, int, string): int $write
     * @param array<string, int> $outside
     * @param list<int> $places
     */
    private function pieces(callable $words, callable $write, array $outside, array $places): void
    {
        for ($nth = 1; $nth <= self::PIECES; ++$nth) {
            $home = $places[mt_rand(0, \count($places) - 1)];
            $this->database->insert('item', [
                'name' => ucfirst($words(2)).' card '.$nth, 'maker' => '', 'kind' => 'finished piece', 'tracking' => 'count', 'home_id' => $home,
                'themes' => json_encode([$words(1)]), 'sentiments' => '', 'hazards' => '[]',
                'details' => json_encode(['occasion' => ['birthday', 'thanks', 'anniversary'][$nth % 3]]),
            ]);
            $item = (int) $this->database->lastInsertId();
            $many = mt_rand(2, 12);
            $write($item, $outside['made here'], $home, null, $many, 'take in');
            if ($nth > self::GIVEN) {
                continue;
            }
            $line = $write($item, $home, $outside['given away'], null, 1, 'discard');
            $this->database->insert('gift', [
                'item_id' => $item, 'contact_id' => $nth, 'movement_id' => $line, 'way' => 'given', 'quantity' => 1, 'day' => '2026-03-01',
            ]);
        }
    }

    /**
     * Sheets of twelve inches, each cut into an offcut of half its size and waste.
     *
     * @param callable(int, int, int, int|null, int, string): int $write
     * @param array<string, int> $outside
     */
    private function cuts(callable $write, array $outside): void
    {
        $side = 12 * Length::TICKS_PER_INCH;
        $papers = $this->balances("i.kind = 'paper' AND b.quantity >= 100");
        $scraps = $this->balances("i.kind = 'scrap'");
        for ($nth = 0; $nth < self::CUTS; ++$nth) {
            [$paper, $at] = $papers[$nth % \count($papers)];
            [$scrap, $home] = $scraps[$nth % \count($scraps)];
            $this->database->executeStatement('UPDATE item SET sheet_width = ?, sheet_height = ? WHERE id = ?', [$side, intdiv($side, 2), $scrap]);
            $write($paper, $at, $outside['tray'], 1200, 1, 'pull');
            $line = $write($paper, $outside['tray'], $outside['used up'], 1200, 1, 'cut');
            $came = $write($scrap, $outside['made here'], $home, null, 1, 'cut');
            foreach ([['offcut', $came], ['waste', null]] as [$fate, $movement]) {
                $this->database->insert('cut_part', [
                    'cut_id' => $line, 'movement_id' => $movement, 'fate' => $fate, 'width' => $side, 'height' => intdiv($side, 2), 'quantity' => 1,
                ]);
            }
            $this->database->insert('cut', ['movement_id' => $line, 'width' => $side, 'height' => $side, 'sheets' => 1]);
        }
    }

    /** @return non-empty-list<array{int, int}> thing and place */
    private function balances(string $which): array
    {
        $all = Row::each($this->database->fetchAllAssociative(
            "SELECT b.item_id, b.place_id FROM balance b JOIN item i ON i.id = b.item_id JOIN place p ON p.id = b.place_id
             WHERE {$which} AND p.nature = 'storage' ORDER BY b.item_id LIMIT 2000",
        ), static fn (Row $row): array => [$row->int('item_id'), $row->int('place_id')]);

        return [] === $all ? throw new \LogicException('The room has papers and scraps.') : $all;
    }

    private function bookkeeping(): void
    {
        $items = Row::each(
            $this->database->fetchAllAssociative("SELECT id FROM item WHERE tracking = 'count' AND kind <> 'scrap' ORDER BY id"),
            static fn (Row $row): int => $row->int('id'),
        );
        for ($nth = 0; $nth < self::PRICES; ++$nth) {
            $item = $items[$nth * 7 % \count($items)];
            $this->database->insert('price', [
                'item_id' => $item, 'cents' => mt_rand(40, 2500), 'quantity' => 1, 'day' => \sprintf('2026-%02d-%02d', 1 + $nth % 10, 1 + $nth % 28),
            ]);
        }
        for ($nth = 0; $nth < self::RULES; ++$nth) {
            $this->database->insert('stock_rule', ['item_id' => $items[$nth * 11 % \count($items)], 'spare' => mt_rand(1, 20), 'lead_days' => 7]);
        }
        for ($nth = 1; $nth <= self::LOANS; ++$nth) {
            $this->database->insert('loan', [
                'item_id' => $nth, 'contact_id' => $nth, 'way' => 'borrowed', 'quantity' => 1, 'ended' => $nth % 2,
                'since' => '2026-02-01', 'until' => '2026-12-01',
            ]);
        }
        $places = $this->database->fetchFirstColumn("SELECT id FROM place WHERE nature = 'storage' ORDER BY id");
        for ($nth = 0; $nth < self::COUNTS; ++$nth) {
            $this->database->insert('place_count', [
                'place_id' => $places[$nth % \count($places)], 'account_id' => 1, 'at' => \sprintf('2026-%02d-15 10:00:00', 1 + $nth % 10),
                'expected' => 40, 'wrong' => $nth % 5, 'touched' => $nth % 90,
            ]);
        }
    }

    /** @param callable(int): string $words */
    private function planned(callable $words): void
    {
        for ($nth = 1; $nth <= self::PLANNED; ++$nth) {
            $this->database->insert('kit', [
                'name' => ucfirst($words(2)).' '.$nth, 'stage' => 'planned', 'created_at' => '2026-10-01 09:00:00',
                'due_on' => \sprintf('2027-%02d-%02d', 1 + $nth % 12, 1 + $nth % 28),
            ]);
            $kit = (int) $this->database->lastInsertId();
            foreach (range(1, 12) as $need) {
                $item = 1 + ($nth * 331 + $need * 97) % 19_000;
                $this->database->insert('need', ['kit_id' => $kit, 'item_id' => $item, 'quantity' => 1, 'taken' => 0, 'state' => 'open']);
            }
        }
    }
}
