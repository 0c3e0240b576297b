<?php

declare(strict_types=1);

namespace App\Tests;

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
}
