<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Colour\Family;
use Lottel\Core\Cutting\RefusedCut;
use Lottel\Core\Cutting\WorkPart;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Design\KeptDesign;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Filing\InvalidScheme;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelSheet;
use Lottel\Core\Label\LabelSize;
use Lottel\Core\Measure\Length;
use Lottel\Core\Paper\InvalidOutline;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Words\Printable;

/**
 * What the values of a room's file mean beyond their kind: each is read by the type that the application itself reads it by, so that
 * nothing comes into a room that a page could not show.
 */
final class Meanings
{
    private const MOST = Length::MOST_TICKS;

    /**
     * @param mixed $value as json_decode() gives it, objects as arrays
     *
     * @throws InvalidRoomFile with the path of what is wrong
     */
    public static function check(string $section, string $field, mixed $value, string $path): void
    {
        $wrong = null === $value ? null : match ("{$section}.{$field}") {
            'rooms.plan' => self::plan($value),
            'rooms.week_minutes' => self::isListOf($value, static fn (mixed $one): bool => self::isWhole($one, 0, 1440)) && \is_array($value)
                && \in_array(\count($value), [0, 7], true) ? null : 'These must be the minutes of seven days, or nothing.',
            'units.letters' => 1 === preg_match('/^[A-Z]{1,3}$/D', self::word($value)) ? null : 'These must be one to three capital letters.',
            'places.scheme' => self::scheme(self::word($value)),
            'places.season', 'items.season' => '' === $value || null !== Season::tryFrom(self::word($value)) ? null : 'There is no such season.',
            'places.says_colour' => '' === $value || null !== Family::tryFrom(self::word($value)) ? null : 'There is no such family of colours.',
            'places.also_kinds' => self::isListOf($value, static fn (mixed $one): bool => null !== Kind::tryFrom(self::word($one)))
                ? null : 'This must be a list of kinds.',
            'items.themes' => self::isListOf(
                $value,
                static fn (mixed $one): bool => \is_string($one) && mb_strlen($one) <= 300,
            ) ? null : 'This must be a list of words.',
            'items.hazards' => self::isListOf($value, static fn (mixed $one): bool => null !== Hazard::tryFrom(self::word($one)))
                ? null : 'This must be a list of hazards.',
            'items.details' => self::isWords($value) ? null : 'This must be words by field.',
            'items.outline' => self::outline($value),
            'items.cut_sizes' => self::isListOf($value, self::isPair(...)) && [] !== $value ? null : 'This must be a list of widths and heights.',
            'pieces.creases' => self::isListOf($value, self::isCrease(...)) ? null : 'This must be a list of creases, such as ["x", 100].',
            'sheets_in_work.tree' => self::tree($value),
            'designs.document', 'patterns.document' => self::design($value),
            'house_moves.by_hand' => self::isListOf($value, static fn (mixed $one): bool => self::isWhole($one, 1, \PHP_INT_MAX))
                ? null : 'This must be a list of the numbers of items.',
            'label_sheets.measures' => self::labels($value),
            default => null,
        };
        if (null !== $wrong) {
            throw new InvalidRoomFile($path, $wrong);
        }
    }

    /** Whether an address can be that of a piece of furniture. */
    public static function isAddress(string $address): bool
    {
        try {
            return (string) Address::parse($address) === $address;
        } catch (InvalidAddress) {
            return false;
        }
    }

    private static function plan(mixed $value): ?string
    {
        $wrong = 'This must be a floor plan: width, depth, door_at and door_width in millimetres, and fixtures.';
        if (!\is_array($value)) {
            return $wrong;
        }
        $fixtures = $value['fixtures'] ?? [];
        $sides = array_diff_key($value, ['fixtures' => 0]);
        $areSides = [] === array_diff(array_keys($sides), ['width', 'depth', 'door_at', 'door_width']) && [] === array_filter(
            $sides,
            static fn (mixed $side): bool => !self::isWhole($side, 0, 1_000_000),
        );
        $areFixtures = self::isListOf($fixtures, static fn (mixed $one): bool => \is_array($one) && \is_string($one['name'] ?? null)
            && [] === array_filter(array_diff_key($one, ['name' => 0]), static fn (mixed $side): bool => !self::isWhole($side, 0, 1_000_000)));

        return $areSides && $areFixtures ? null : $wrong;
    }

    private static function scheme(string $value): ?string
    {
        try {
            FilingScheme::parse($value);

            return null;
        } catch (InvalidScheme $invalid) {
            return $invalid->getMessage();
        }
    }

    private static function outline(mixed $value): ?string
    {
        if (!self::isListOf($value, static fn (mixed $ring): bool => self::isListOf($ring, self::isPoint(...)))) {
            return 'This must be rings of points, the outer one first.';
        }
        /** @var list<list<array{int, int}>> $value */
        try {
            Outline::of($value[0] ?? [], \array_slice($value, 1));

            return null;
        } catch (InvalidOutline $invalid) {
            return $invalid->getMessage();
        }
    }

    private static function tree(mixed $value): ?string
    {
        if (!self::isBounded($value)) {
            return 'There is a number in this that is too large.';
        }
        try {
            WorkPart::read(\is_array($value) ? self::keyed($value) : []);

            return null;
        } catch (RefusedCut|\TypeError) {
            return 'This is no sheet with its cuts.';
        }
    }

    private static function design(mixed $value): ?string
    {
        if (!self::isBounded($value)) {
            return 'There is a number in this that is too large.';
        }
        try {
            KeptDesign::read(\is_array($value) ? self::keyed($value) : [])->checked();

            return null;
        } catch (InvalidDesign $invalid) {
            return $invalid->getMessage();
        } catch (\Throwable) {
            return 'This is no design.';
        }
    }

    /** Whether no number in it is larger than the longest length; numbers of rows are not either. */
    private static function isBounded(mixed $value): bool
    {
        return match (true) {
            \is_array($value) => [] === array_filter($value, static fn (mixed $one): bool => !self::isBounded($one)),
            \is_int($value), \is_float($value) => abs($value) <= self::MOST,
            \is_string($value) => Printable::is($value) && mb_strlen($value) <= 400,
            default => true,
        };
    }

    private static function labels(mixed $value): ?string
    {
        $wrong = 'These must be the ten measures of a sheet of labels.';
        if (!self::isListOf($value, static fn (mixed $one): bool => self::isWhole($one, 0, 100_000)) || !\is_array($value) || 10 !== \count($value)) {
            return $wrong;
        }
        /** @var list<int> $value */
        try {
            new LabelSheet('', $value[0], $value[1], $value[2], $value[3], $value[4], $value[5], new LabelSize($value[6], $value[7]), $value[8], $value[9]);

            return null;
        } catch (InvalidLabel) {
            return $wrong;
        }
    }

    private static function isCrease(mixed $one): bool
    {
        return self::isListOf($one, static fn (): bool => true) && \is_array($one) && 2 === \count($one)
            && \in_array($one[0] ?? null, ['x', 'y'], true) && self::isWhole($one[1] ?? null, 0, self::MOST);
    }

    private static function isPair(mixed $one): bool
    {
        return \is_array($one) && array_is_list($one) && 2 === \count($one) && self::isWhole($one[0], 1, self::MOST) && self::isWhole($one[1], 1, self::MOST);
    }

    private static function isPoint(mixed $one): bool
    {
        return \is_array($one) && array_is_list($one) && 2 === \count($one)
            && self::isWhole($one[0], -self::MOST, self::MOST) && self::isWhole($one[1], -self::MOST, self::MOST);
    }

    private static function isWords(mixed $value): bool
    {
        return \is_array($value) && [] === array_filter($value, static fn (mixed $one): bool => !\is_string($one));
    }

    /** @param callable(mixed): bool $is */
    private static function isListOf(mixed $value, callable $is): bool
    {
        return \is_array($value) && array_is_list($value) && [] === array_filter($value, static fn (mixed $one): bool => !$is($one));
    }

    private static function isWhole(mixed $value, int $least, int $most): bool
    {
        return \is_int($value) && $value >= $least && $value <= $most;
    }

    private static function word(mixed $value): string
    {
        return \is_string($value) ? $value : "\0";
    }

    /**
     * @param array<mixed> $value
     *
     * @return array<string, mixed>
     */
    private static function keyed(array $value): array
    {
        $keyed = [];
        foreach ($value as $key => $one) {
            $keyed[(string) $key] = $one;
        }

        return $keyed;
    }
}
