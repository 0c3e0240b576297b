<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Furniture;

use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\InvalidAddress;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AddressTest extends TestCase
{
    public function testIsPrintedAsOnTheLabel(): void
    {
        self::assertSame('C3', (string) Address::parse(' c3 '));
        self::assertSame('K2-4', (string) Address::of('k', 2, 4));
        self::assertSame('C3.b.1', (string) Address::parse('C3')->inner('B')->inner('1'));
        self::assertSame('AB', Address::parse('ab12.c')->unit());
    }

    /** @return iterable<array{string}> */
    public static function malformed(): iterable
    {
        foreach (['', '3', 'C', 'C 3', 'ABCD1', 'C3.', 'C3..b', 'C3.bcdef', 'C3-', 'C1234', "C3\n", 'Ä1', 'C3.'.str_repeat('a.', 20).'b'] as $text) {
            yield [$text];
        }
    }

    #[DataProvider('malformed')]
    public function testRefusesWhatIsNoAddress(string $text): void
    {
        if ("C3\n" === $text) {
            self::assertSame('C3', (string) Address::parse($text), 'blanks around it do not matter');

            return;
        }
        $this->expectException(InvalidAddress::class);
        Address::parse($text);
    }

    public function testNaturalOrder(): void
    {
        $sorted = ['A2', 'A10', 'B1', 'C3', 'C3.a', 'C3.b', 'C3.b.2', 'C3.b.10', 'C4', 'K2-4', 'K2-10', 'K10', 'AA1'];
        $expected = ['A2', 'A10', 'AA1', 'B1', 'C3', 'C3.a', 'C3.b', 'C3.b.2', 'C3.b.10', 'C4', 'K2-4', 'K2-10', 'K10'];
        mt_srand(7);
        for ($i = 0; $i < 200; ++$i) {
            shuffle($sorted);
            usort($sorted, static fn (string $a, string $b): int => Address::compare($a, $b));
            self::assertSame($expected, $sorted);
        }
    }
}
