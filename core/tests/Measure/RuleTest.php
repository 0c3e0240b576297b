<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Measure;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Rule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RuleTest extends TestCase
{
    /** @return iterable<string, array{LengthUnit, float, float, list<string>}> the unit, how long it is in it, pixels to one, the first numbers */
    public static function rules(): iterable
    {
        yield 'a letter sheet' => [LengthUnit::Inch, 11, 46, ['0', '1', '2', '3']];
        yield 'two feet, small' => [LengthUnit::Inch, 24, 12, ['0', '2', '4', '6']];
        yield 'A4, in millimetres and not in centimetres' => [LengthUnit::Millimetre, 297, 1.7, ['0', '20', '40']];
        yield 'A6, large' => [LengthUnit::Millimetre, 148, 3.4, ['0', '10', '20', '30']];
        yield 'a metre' => [LengthUnit::Millimetre, 1000, 0.5, ['0', '100', '200']];
    }

    /** @param list<string> $first */
    #[DataProvider('rules')]
    public function testNumbersStandClearOfEachOther(LengthUnit $unit, float $long, float $scale, array $first): void
    {
        $one = LengthUnit::Inch === $unit ? Length::TICKS_PER_INCH : Length::TICKS_PER_MILLIMETRE;
        $rule = Rule::along($unit, (int) ($long * $one), $scale / $one, 8.4);
        $numbered = array_values(array_filter($rule->marks, static fn (array $mark): bool => null !== $mark[1]));
        self::assertSame($first, \array_slice(array_column($numbered, 1), 0, \count($first)));
        foreach ($numbered as $nth => [$at, $number]) {
            self::assertSame((string) ($at / $one), $number, 'it says how far it is');
            $before = $numbered[$nth - 1] ?? [-1_000_000, ''];
            self::assertGreaterThan(8.4 * \strlen($number), ($at - $before[0]) * $scale / $one);
        }
        foreach (\array_slice($rule->marks, 1) as $nth => [$at]) {
            self::assertGreaterThanOrEqual(4.0, ($at - $rule->marks[$nth][0]) * $scale / $one, 'so do the marks');
        }
        self::assertLessThanOrEqual((int) ($long * $one), $rule->marks[\count($rule->marks) - 1][0]);
    }
}
