<?php

declare(strict_types=1);

namespace App\Tests\Platform\Console;

use App\Platform\Console\Document;
use App\Platform\Console\InvalidDocument;
use App\Platform\Console\OutputScale;
use App\Platform\Console\Ratio;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DocumentTest extends TestCase
{
    public function testReadsTypedValuesAndKnowsTheirPaths(): void
    {
        $document = Document::parse('{"name": "a", "is": true, "list": [{"n": 3.0}, {"n": 4}], "nothing": null}');
        self::assertSame('a', $document->get('name')->string());
        self::assertTrue($document->get('is')->bool());
        self::assertTrue($document->get('nothing')->isNull());
        self::assertTrue($document->has('nothing'));
        self::assertFalse($document->has('more'));
        $items = $document->get('list')->items();
        self::assertSame([3, 4], array_map(static fn (Document $item): int => $item->get('n')->whole(1, 9), $items));
        self::assertSame('list[1].n', $items[1]->get('n')->path);
        self::assertSame('a', $document->get('name')->word(['a', 'b']));
    }

    /** @return iterable<string, array{string, callable(Document): mixed, string}> */
    public static function wrong(): iterable
    {
        yield 'missing' => ['{}', static fn (Document $document): mixed => $document->get('a'), 'a'];
        yield 'missing below' => ['{"a": {}}', static fn (Document $document): mixed => $document->get('a')->get('b'), 'a.b'];
        yield 'no list' => ['{"a": {"0": 1}}', static fn (Document $document): mixed => $document->get('a')->items(), 'a'];
        yield 'no object' => ['{"a": [1]}', static fn (Document $document): mixed => $document->get('a')->items()[0]->object(), 'a[0]'];
        yield 'no text' => ['{"a": 1}', static fn (Document $document): mixed => $document->get('a')->string(), 'a'];
        yield 'no truth' => ['{"a": 0}', static fn (Document $document): mixed => $document->get('a')->bool(), 'a'];
        yield 'no number' => ['{"a": "1"}', static fn (Document $document): mixed => $document->get('a')->number(), 'a'];
        yield 'not finite' => ['{"a": -1e999}', static fn (Document $document): mixed => $document->get('a')->number(), 'a'];
        yield 'not whole' => ['{"a": 1.5}', static fn (Document $document): mixed => $document->get('a')->whole(1, 9), 'a'];
        yield 'too large' => ['{"a": 10}', static fn (Document $document): mixed => $document->get('a')->whole(1, 9), 'a'];
        yield 'no such word' => ['{"a": "c"}', static fn (Document $document): mixed => $document->get('a')->word(['a', 'b']), 'a'];
        yield 'no length' => ['{"a": "four"}', static fn (Document $document): mixed => $document->get('a')->length(), 'a'];
        yield 'zero' => ['{"a": "0/4"}', static fn (Document $document): mixed => $document->get('a')->positiveLength(), 'a'];
        yield 'negative' => ['{"a": -0.1}', static fn (Document $document): mixed => $document->get('a')->lengthFromZero(), 'a'];
        yield 'a list as a whole' => ['[]', static fn (Document $document): mixed => $document, ''];
        yield 'too deep' => [str_repeat('{"a":', 60).'1'.str_repeat('}', 60), static fn (Document $document): mixed => $document, ''];
        yield 'not utf-8' => ["{\"a\": \"\xff\"}", static fn (Document $document): mixed => $document, ''];
        yield 'empty' => ['', static fn (Document $document): mixed => $document, ''];
    }

    /** @param callable(Document): mixed $read */
    #[DataProvider('wrong')]
    public function testRefusesWithThePath(string $json, callable $read, string $path): void
    {
        try {
            $read(Document::parse($json));
            self::fail('It was read.');
        } catch (InvalidDocument $invalid) {
            self::assertSame($path, $invalid->field);
        }
    }

    /** @return iterable<string, array{string|float, int, int}> */
    public static function lengths(): iterable
    {
        yield 'whole' => [11.0, 11, 1];
        yield 'decimal' => [4.25, 17, 4];
        yield 'a tenth, as written' => [0.1, 1, 10];
        yield 'mixed' => ['4 1/4', 17, 4];
        yield 'third' => ['1/3', 1, 3];
        yield 'reduced' => ['6/8', 3, 4];
        yield 'vulgar' => ['5½', 11, 2];
        yield 'decimal text' => ['2.50', 5, 2];
        yield 'negative' => ['-1 1/2', -3, 2];
        yield 'tiny, but more than nothing' => [1e-12, 1, 1_000_000_000];
    }

    #[DataProvider('lengths')]
    public function testLengthsKeepTheirFractions(string|float $written, int $numerator, int $denominator): void
    {
        $ratio = \is_string($written) ? Ratio::parse($written) : Ratio::ofNumber($written);
        self::assertSame([$numerator, $denominator], [$ratio?->numerator, $ratio?->denominator]);
    }

    public function testWhatIsTooLargeOrNoFractionIsNone(): void
    {
        foreach (['', 'x', '1/0', '1 2', '10000000', '1.1.1', '0x10', '１'] as $text) {
            self::assertNull(Ratio::parse($text), $text);
        }
        self::assertNull(Ratio::ofNumber(1e7));
    }

    public function testAScaleMakesAllLengthsWholeAndBack(): void
    {
        $lengths = array_values(array_filter(array_map(Ratio::parse(...), ['1/3', '4.25', '7/16', '12'])));
        $scale = OutputScale::for($lengths);
        self::assertSame([16, 204, 21, 576], array_map($scale->whole(...), $lengths), 'on a grid of forty-eighths');
        self::assertSame(12, $scale->unit(576));
        self::assertEqualsWithDelta(1 / 3, $scale->unit(16), 1e-12);
        mt_srand(17);
        for ($i = 0; $i < 500; ++$i) {
            $ratios = array_values(
                array_filter(
                    array_map(
                        static fn (): ?Ratio => Ratio::parse(mt_rand(0, 30).' '.mt_rand(1, 63).'/'.[2, 3, 4, 8, 16, 32, 64][mt_rand(0, 6)]),
                        range(1, 4),
                    ),
                ),
            );
            $scale = OutputScale::for($ratios);
            foreach ($ratios as $ratio) {
                self::assertEqualsWithDelta($ratio->value(), $scale->unit($scale->whole($ratio)), 1e-12);
            }
        }
    }
}
