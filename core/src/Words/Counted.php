<?php

declare(strict_types=1);

namespace Lottel\Core\Words;

/** Numbers with the words that agree with them. */
final class Counted
{
    /** Returns `1 thing` or `8 things`; $many is $one with an s unless it is given. */
    public static function of(int $number, string $one, string $many = ''): string
    {
        return number_format($number).' '.(1 === $number ? $one : ('' === $many ? $one.'s' : $many));
    }

    /** Returns `once` or `3 times`. */
    public static function times(int $number): string
    {
        return 1 === $number ? 'once' : number_format($number).' times';
    }

    /** Returns `1st`, `2nd`, `3rd`, `11th`, `21st`. */
    public static function nth(int $number): string
    {
        $isTeen = \in_array($number % 100, [11, 12, 13], true);

        return number_format($number).match ($isTeen ? 0 : $number % 10) {
            1 => 'st',
            2 => 'nd',
            3 => 'rd',
            default => 'th',
        };
    }

    /** Returns the first word after one, the second after any other number: `is` and `are`, `lives` and `live`. */
    public static function verb(int $number, string $one = 'is', string $many = 'are'): string
    {
        return 1 === $number ? $one : $many;
    }

    /**
     * Returns the names joined as in a sentence, or how many they are where there are more than $most.
     *
     * @param list<string> $names at least one
     */
    public static function names(array $names, string $one = 'thing', int $most = 4): string
    {
        $count = \count($names);
        if ($count > $most) {
            return self::of($count, $one);
        }
        $last = array_pop($names);

        return [] === $names ? (string) $last : implode(', ', $names).' and '.$last;
    }

    /**
     * Returns a sentence about named things, such as `Terns is home` or `Terns and Gulls are home`.
     *
     * @param list<string> $names at least one
     */
    public static function sentence(array $names, string $rest, string $one = 'is', string $many = 'are'): string
    {
        return \sprintf('%s %s %s', self::names($names), self::verb(\count($names), $one, $many), $rest);
    }
}
