<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Words;

use Lottel\Core\Catalogue\Likeness;
use Lottel\Core\Words\Spelling;
use PHPUnit\Framework\TestCase;

final class SpellingTest extends TestCase
{
    public function testCountsSlips(): void
    {
        foreach (
            [
                ['gull', 'gull', 0],
                ['gull', 'gulls', 1],
                ['lighthouse', 'lighthosue', 1],
                ['harbour', 'harbor', 1],
                ['éider', 'eider', 1],
                ['', 'abc', 3],
                ['abc', '', 3],
                ['ca', 'abc', 3],
            ] as [$one, $other, $distance]
        ) {
            self::assertSame($distance, Spelling::distance($one, $other), $one.' '.$other);
        }
    }

    /** Against PHP's own edit distance, which knows no exchange of neighbours. */
    public function testTheDistanceIsThatOfTheLibraryButForExchanges(): void
    {
        mt_srand(6);
        for ($case = 0; $case < 2000; ++$case) {
            $word = static fn (): string => implode('', array_map(static fn (): string => 'abc'[mt_rand(0, 2)], array_fill(0, mt_rand(1, 7), 0)));
            [$one, $other] = [$word(), $word()];
            $distance = Spelling::distance($one, $other);
            self::assertSame($distance, Spelling::distance($other, $one));
            self::assertLessThanOrEqual(levenshtein($one, $other), $distance);
            self::assertGreaterThanOrEqual(levenshtein($one, $other) / 2, $distance);
        }
    }

    public function testFindsWhatWasMeant(): void
    {
        $known = ['lighthouse', 'harbour', 'gulls', 'birthday', 'wishing', 'sea'];
        self::assertSame(['lighthouse'], Spelling::nearest('lighthosue', $known));
        self::assertSame(['harbour'], Spelling::nearest('harbor', $known));
        self::assertSame(['lighthouse'], Spelling::nearest('lihgt', $known), 'a beginning, misspelt');
        self::assertSame(['birthday'], Spelling::nearest('brthday', $known));
        self::assertSame([], Spelling::nearest('see', $known), 'short words are taken as they are');
        self::assertSame([], Spelling::nearest('anchor', $known));
    }

    public function testWordsAreTakenWithoutAccents(): void
    {
        self::assertSame(['eider', 'family', '2'], Spelling::words('Éider family, 2!'));
        self::assertSame([], Spelling::words("\xff —"));
    }

    public function testLikelyDoublesAreFoundAcrossMakersAndSpellings(): void
    {
        $things = new Likeness([1 => 'Lighthouse & gulls', 2 => 'Lighthouse', 3 => 'Gulls in flight', 4 => 'The Éider family stamp set', 5 => 'Sequins']);
        self::assertSame([1], $things->of('Lighthouse and gulls'));
        self::assertSame([1], $things->of('gulls, lighthosue'));
        self::assertSame([4], $things->of('Eider Family'));
        self::assertSame([2], $things->of('The lighthouse'));
        self::assertSame([], $things->of('Gulls at sea'));
        self::assertSame([], $things->of(''));
    }
}
