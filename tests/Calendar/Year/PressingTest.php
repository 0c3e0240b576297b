<?php

declare(strict_types=1);

namespace App\Tests\Calendar\Year;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;

/** What must not wait is told at the head of Plan. */
final class PressingTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    public function testALoanThatIsLateIsToldUntilItIsBack(): void
    {
        [$gulls] = $this->putInto('C1', 'Gulls');
        self::assertSame(0, $this->get('/plan')->filter('.pressing')->count());
        $until = (new \DateTimeImmutable('+1 day'))->format('Y-m-d');
        $this->postAndFollow("/items/{$gulls->id}/lend", ['person' => 'Pelle', 'until' => $until, 'quantity' => '1', 'address' => 'C1']);
        self::assertSame(0, $this->get('/plan')->filter('.pressing')->count(), 'not before its day');
        $this->database()->executeStatement("UPDATE loan SET since = '2026-01-01', until = '2026-01-09'");
        self::assertStringContainsString('Gulls comes back from Pelle (late)', $this->get('/plan')->filter('.pressing')->text());
        $this->database()->executeStatement('UPDATE loan SET ended = quantity');
        self::assertSame(0, $this->get('/plan')->filter('.pressing')->count());
    }

    public function testADateThatIsNearAndHasNothingIsTold(): void
    {
        $day = new \DateTimeImmutable('+4 days');
        $this->postAndFollow('/occasions', ['kind' => 'birthday', 'person' => 'Maren', 'on' => $day->format('j F'), 'pieces' => '1']);
        $far = new \DateTimeImmutable('+40 days');
        $this->postAndFollow('/occasions', ['kind' => 'birthday', 'person' => 'Pelle', 'on' => $far->format('j F'), 'pieces' => '1']);
        $said = $this->get('/plan')->filter('.pressing')->text();
        self::assertStringContainsString('Maren’s birthday on '.$day->format('l j F').', and nothing is planned for it', $said);
        self::assertStringNotContainsString('Pelle', $said);
        $kit = $this->planKit('For Maren', []);
        $occasion = $this->number('SELECT min(id) FROM occasion');
        $this->database()->executeStatement('INSERT INTO kit_occasion (kit_id, occasion_id, day) VALUES (?, ?, ?)', [$kit, $occasion, $day->format('Y-m-d')]);
        self::assertSame(0, $this->get('/plan')->filter('.pressing')->count());
        $this->database()->executeStatement("UPDATE kit SET removed_at = '2026-01-01 00:00:00' WHERE id = ?", [$kit]);
        self::assertSame(1, $this->get('/plan')->filter('.pressing')->count(), 'a kit that is planned no more serves nobody');
    }

    public function testADateOfWhichAPartIsThereSaysHowMuch(): void
    {
        $day = new \DateTimeImmutable('+4 days');
        $this->postAndFollow('/occasions', ['kind' => 'birthday', 'person' => 'Maren', 'on' => $day->format('j F'), 'pieces' => '2']);
        [$card, $other] = $this->putInto('C5', 'Gull card', 'Tern card');
        $occasion = $this->number('SELECT min(id) FROM occasion');
        $keep = fn (Item $piece): int => (int) $this->database()->executeStatement(
            'INSERT INTO set_aside (item_id, occasion_id, day) VALUES (?, ?, ?)',
            [$piece->id, $occasion, $day->format('Y-m-d')],
        );
        $keep($card);
        self::assertStringContainsString('and 1 of its 2 pieces is there', $this->get('/plan')->filter('.pressing')->text());
        $keep($other);
        self::assertSame(0, $this->get('/plan')->filter('.pressing')->count());
    }
}
