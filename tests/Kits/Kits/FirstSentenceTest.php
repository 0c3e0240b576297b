<?php

declare(strict_types=1);

namespace App\Tests\Kits\Kits;

use App\Tests\RoomTestCase;
use Lottel\Core\Measure\LengthUnit;

/** The first sentence of a kit: what is read of it, and what is told and kept of the rest. */
final class FirstSentenceTest extends RoomTestCase
{
    private const SENTENCE = '6 thank you cards, 5 x 7, side fold, Gull base, Deep Channel mat, Fog panel, Lamp Oil strip on foam, by 20 December';

    public function testNothingOfItIsLost(): void
    {
        $this->furnish();
        $this->postAndFollow('/kits', ['name' => self::SENTENCE]);
        self::assertStringContainsString(
            'Not understood, and kept in its note: “Gull base”, “Deep Channel”, “Fog”, “Lamp Oil”, “by 20 December”.',
            $this->text(),
        );
        self::assertSame(
            ['Thank you cards', self::SENTENCE, 'thank you', self::SENTENCE],
            array_values((array) $this->database()->fetchAssociative('SELECT name, makes, occasion, note FROM kit')),
        );
    }

    public function testALongOneIsKeptWhole(): void
    {
        $this->furnish();
        $sentence = 'Harvest supper invitations '.str_repeat('for everybody who came last year and for their neighbours ', 8).'too';
        $this->postAndFollow('/kits', ['name' => $sentence]);
        self::assertSame($sentence, $this->word('SELECT note FROM kit'));
        $name = $this->word('SELECT name FROM kit');
        self::assertLessThanOrEqual(120, mb_strlen($name));
        self::assertMatchesRegularExpression('/ \w+…$/u', $name, 'a whole word');
        $this->post('/kits', ['name' => str_repeat('x', 1001)]);
        $this->assertCode(422);
    }

    public function testASizeThatCannotBeReadIsAskedFor(): void
    {
        $this->furnish(LengthUnit::Millimetre);
        $this->postAndFollow('/kits', ['name' => '4 cards, 5 × 7, side fold']);
        self::assertStringContainsString('No design is begun, since no size is said that could be read: write one such as 105 × 148.', $this->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM design'));
        $this->postAndFollow('/kits', ['name' => '4 cards, 150 mm square, side fold']);
        self::assertStringContainsString('is planned, with its design.', $this->text());
        self::assertSame(300 * 320, $this->number("SELECT json_extract(document, '$.finished[0]') * 2 FROM design"));
        $this->postAndFollow('/kits', ['name' => 'Quiet evening at the bench']);
        self::assertStringContainsString('“Quiet evening at the bench” is planned. Now say what it needs.', $this->text());
        self::assertSame('', $this->word("SELECT note FROM kit WHERE name = 'Quiet evening at the bench'"));
    }
}
