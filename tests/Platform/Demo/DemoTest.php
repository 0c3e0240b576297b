<?php

declare(strict_types=1);

namespace App\Tests\Platform\Demo;

use App\Platform\Database\Row;
use App\Room\Log\AuditReading;
use App\Tests\OwnFileTestCase;
use App\Tests\PreparedRooms;

final class DemoTest extends OwnFileTestCase
{
    public function testTheTideLoftIsFurnishedByReplayingItsStory(): void
    {
        (new PreparedRooms(\dirname(__DIR__, 3)))->copyDemoTo($this->data);
        $this->openRoom();
        $report = $this->service(AuditReading::class)->report();
        self::assertSame([], $report->differences);
        self::assertGreaterThanOrEqual(60, $report->places);
        self::assertGreaterThanOrEqual(250, $report->items);
        self::assertGreaterThanOrEqual(6, $this->number('SELECT count(*) FROM unit'));
        self::assertEqualsCanonicalizing(
            ['planned', 'pulling', 'making', 'returning', 'closed'],
            $this->database()->fetchFirstColumn('SELECT DISTINCT stage FROM kit'),
        );
        self::assertGreaterThan(
            170,
            $this->number('SELECT julianday(max(at)) - julianday(min(at)) FROM movement WHERE kit_id IS NOT NULL'),
        );
        foreach (['take in', 'pull', 'use', 'make', 'return', 'lose'] as $reason) {
            self::assertGreaterThan(0, $this->number('SELECT count(*) FROM movement WHERE reason = ?', [$reason]), $reason);
        }
        $this->signIn('ada');
        foreach (
            [
                '/plan',
                '/pull',
                '/make',
                '/return',
                '/stores',
                '/log',
                '/upkeep',
                '/find?q=light',
                ...array_map(
                    static fn (mixed $address): string => '/stores/places/'.Row::word($address),
                    $this->database()->fetchFirstColumn("SELECT address FROM place WHERE nature = 'storage' LIMIT 20"),
                ),
            ] as $path
        ) {
            $this->get($path);
            $this->assertCode(200, $path);
        }
        foreach ($this->database()->fetchAllAssociative('SELECT id, stage FROM kit') as $kit) {
            $row = new Row($kit);
            [$id, $stage] = [$row->int('id'), $row->text('stage')];
            foreach (['', '/pull', '/make', '/return'] as $tail) {
                $this->get("/kits/{$id}{$tail}");
                self::assertContains($this->code(), [200, 302], "{$stage} {$tail}");
            }
        }
    }
}
