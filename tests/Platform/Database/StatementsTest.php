<?php

declare(strict_types=1);

namespace App\Tests\Platform\Database;

use App\Platform\Database\Row;
use App\Tests\RoomTestCase;
use App\Tests\StatementLog;

/** How much is asked of the database: a count, which no machine changes. */
final class StatementsTest extends RoomTestCase
{
    /** One take asks about its own line, not about the whole round. */
    public function testATakeDoesNotReckonTheWholeRound(): void
    {
        $this->furnish();
        $items = $this->putInto('C2', ...array_map(static fn (int $n): string => "Card {$n};;24", range(1, 30)));
        $long = $this->planKit('Long', array_map(static fn ($item): array => [$item, 2], $items));
        $short = $this->planKit('Short', [[$items[0], 2]]);
        $counts = [];
        foreach ([$long, $short] as $kit) {
            $this->postAndFollow("/kits/{$kit}/pull");
            $need = $this->needId($kit, $items[0]);
            $log = $this->service(StatementLog::class);
            $log->statements = [];
            $this->post("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$need]]);
            $this->assertCode(303);
            $counts[$kit] = \count($log->statements);
        }
        self::assertSame($counts[$short], $counts[$long], 'thirty lines cost no more than one');
        self::assertLessThanOrEqual(24, $counts[$long], implode("\n", $this->service(StatementLog::class)->statements));
    }

    /** The log grows for years: what a page asks of it goes through an index, and never reads it from one end to the other. */
    public function testNoPageReadsTheWholeLog(): void
    {
        $this->furnish();
        [$card, $gull] = $this->putInto('C2', 'Card;;24', 'Gull');
        $this->postAndFollow('/stores/places/C2', ['name' => 'new things', 'scheme' => 'name', 'file_after_uses' => '1']);
        $kit = $this->planKit('Used', [[$card, 2], [$gull, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $card)]]);
        $log = $this->service(StatementLog::class);
        foreach (
            [
                '/plan',
                "/kits/{$kit}",
                "/kits/{$kit}/pull",
                "/kits/{$kit}/make",
                "/kits/{$kit}/return",
                '/stores',
                '/stores/places/C2',
                '/stores/queue',
                '/stores/dies',
                '/stores/colours',
                '/upkeep/seasons',
                '/upkeep/safe',
                '/upkeep/health',
                '/upkeep/devices',
                '/stores/list',
                '/upkeep/parting',
                '/upkeep/doubles',
                '/upkeep/change',
                '/stores/labels',
                "/items/{$card->id}",
                "/items/{$card->id}/homes",
                '/find',
                '/find?q=card',
                '/find?theme=sea',
                '/upkeep',
                '/upkeep/homes?look=1',
                '/upkeep/lying',
                '/upkeep/lost',
                '/upkeep/counts',
                '/stores/places/C2/count',
                '/upkeep/full',
                '/upkeep/figures',
                '/upkeep/idle',
                '/upkeep/stocks',
                '/upkeep/shopping',
                '/upkeep/rounds',
            ] as $path
        ) {
            $log->statements = [];
            $this->get($path);
            $this->assertCode(200, $path);
            self::assertNotSame([], $log->statements, $path);
            self::assertSame([], $this->scansOfTheLog($log->statements), $path);
        }
        self::assertNotSame([], $this->scansOfTheLog(['SELECT count(*) FROM movement WHERE note = ?']), 'such a question is noticed');
    }

    /**
     * @param list<string> $statements
     *
     * @return list<string>
     */
    private function scansOfTheLog(array $statements): array
    {
        $scans = [];
        foreach (array_filter(array_unique($statements), static fn (string $sql): bool => 1 === preg_match('/^\s*SELECT/i', $sql)) as $sql) {
            $plan = Row::words(array_column($this->database()->fetchAllAssociative('EXPLAIN QUERY PLAN '.$sql), 'detail'));
            if ([] !== preg_grep('/^(SCAN (movement|m)\b|MATERIALIZE item_use|SEARCH m USING INDEX movement_reason)/', $plan)) {
                $scans[] = $sql;
            }
        }

        return $scans;
    }
}
