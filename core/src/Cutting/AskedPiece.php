<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\SheetSize;

/** Pieces as a person asks for them in one line, such as `12 panels 4 × 5 1/4 Petrel`, `40 A2 panels` or `25 top-fold bases`. */
final readonly class AskedPiece
{
    public const MOST = 1_000;
    private const MOST_LINES = 40;
    private const NOUN = 'panels?|mats?|bases?|strips?|layers?|tags?|squares?|cards?|pieces?|backgrounds?|inserts?|frames?|liners?';

    /**
     * @param string $name of one of them, such as “panel”
     * @param list<Crease> $creases where each is scored
     * @param string $paper what is said of the paper, as it stands there
     * @param bool|null $mayTurn null where nothing is said
     */
    private function __construct(
        public int $quantity,
        public string $name,
        public Size $size,
        public array $creases,
        public string $paper,
        public ?bool $mayTurn,
        public string $line,
    ) {
    }

    /**
     * @return non-empty-list<self>
     *
     * @throws InvalidPieces if a line cannot be read
     */
    public static function lines(string $text, LengthUnit $unit): array
    {
        $lines = array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $text) ?: []), static fn (string $line): bool => '' !== $line));
        if (\count($lines) > self::MOST_LINES) {
            throw InvalidPieces::tooManyLines(\count($lines), self::MOST_LINES);
        }
        $asked = array_map(static fn (string $line): self => self::read($line, $unit), $lines);

        return [] === $asked ? throw InvalidPieces::nothing() : $asked;
    }

    /** @throws InvalidPieces if it cannot be read */
    public static function read(string $line, LengthUnit $unit): self
    {
        [$rest, $mayTurn] = self::turning($line);
        [$quantity, $rest] = self::counted($rest, $line);
        try {
            $sized = self::known($rest, $unit) ?? self::sized($rest, $unit);
        } catch (InvalidLength) {
            throw InvalidPieces::sizeIsNone($line);
        }
        [$name, $size, $creases, $paper] = $sized ?? throw InvalidPieces::hasNoSize($line);

        return new self($quantity, mb_substr($name, 0, 60), $size, $creases, self::paperIn($paper), $mayTurn, $line);
    }

    /** Whether it may lie turned on a paper: as it is said, else wherever that has no pattern or grain to keep. */
    public function mayTurnOn(?Direction $direction): bool
    {
        return $this->mayTurn ?? (null === $direction || Direction::None === $direction);
    }

    /** @return array{string, bool|null} */
    private static function turning(string $line): array
    {
        if (1 === preg_match('/[\s,;]+(?:upright|not turned)\s*$/iuD', $line, $m)) {
            return [substr($line, 0, -\strlen($m[0])), false];
        }

        return 1 === preg_match('/[\s,;]+either way\s*$/iuD', $line, $m) ? [substr($line, 0, -\strlen($m[0])), true] : [$line, null];
    }

    /** @return array{int, string} */
    private static function counted(string $rest, string $line): array
    {
        if (1 !== preg_match('/^(\d{1,9})\s+(?![×x*]|by\b|\d+\/\d)(?:of\s+)?(.*)$/iuD', trim($rest), $m)) {
            return [1, trim($rest)];
        }
        $quantity = (int) $m[1];
        if ($quantity < 1 || $quantity > self::MOST) {
            throw InvalidPieces::quantityIsOut($line, self::MOST);
        }

        return [$quantity, $m[2]];
    }

    /**
     * Pieces that have a name in the trade (common practice, no source).
     *
     * @return array{string, Size, list<Crease>, string}|null name, flat size, scores, what is said besides
     */
    private static function known(string $text, LengthUnit $unit): ?array
    {
        $quarter = static fn (int $quarters): int => $quarters * intdiv(Length::TICKS_PER_INCH, 4);
        $eighth = static fn (int $eighths): int => $eighths * intdiv(Length::TICKS_PER_INCH, 8);
        $mm = Length::TICKS_PER_MILLIMETRE;
        [$inInches, $inMillimetres] = LengthUnit::Inch === $unit ? ['|top[- ]fold base', ''] : ['', '|top[- ]fold base'];
        [$sideInInches, $sideInMillimetres] = LengthUnit::Inch === $unit ? ['|side[- ]fold base', ''] : ['', '|side[- ]fold base'];
        $forms = [
            'A6 top[- ]fold base|top[- ]fold A6 base'.$inMillimetres => ['A6 top-fold base', 105 * $mm, 296 * $mm, [new Crease(false, 148 * $mm)]],
            'A6 (?:side[- ]fold )?base|side[- ]fold A6 base'.$sideInMillimetres => ['A6 base', 210 * $mm, 148 * $mm, [new Crease(true, 105 * $mm)]],
            'A5 (?:side[- ]fold )?base|side[- ]fold A5 base' => ['A5 base', 296 * $mm, 210 * $mm, [new Crease(true, 148 * $mm)]],
            'DL (?:side[- ]fold )?base' => ['DL base', 198 * $mm, 210 * $mm, [new Crease(true, 99 * $mm)]],
            'A2 (?:top[- ]fold )?base|top[- ]fold A2 base'.$inInches => ['A2 top-fold base', $quarter(17), $quarter(44), [new Crease(false, $quarter(22))]],
            'A2 side[- ]fold base|side[- ]fold A2 base'.$sideInInches => ['A2 side-fold base', $quarter(34), $quarter(22), [new Crease(true, $quarter(17))]],
            'slimline base' => ['slimline base', $quarter(28), $quarter(34), [new Crease(true, $quarter(14))]],
            '5 ?[×x] ?7 base' => ['5 × 7 base', $quarter(40), $quarter(28), [new Crease(true, $quarter(20))]],
            'A2 panel' => ['A2 panel', $quarter(17), $quarter(22), []],
            'A2 mat' => ['A2 mat', $eighth(33), $eighth(43), []],
            'A6 panel' => ['A6 panel', 105 * $mm, 148 * $mm, []],
            'A6 mat' => ['A6 mat', 101 * $mm, 144 * $mm, []],
        ];
        foreach ($forms as $pattern => [$name, $width, $height, $creases]) {
            if (1 === preg_match('/(?<![\p{L}\d])(?:'.$pattern.')s?(?![\p{L}\d])/iu', $text, $m, \PREG_OFFSET_CAPTURE)) {
                [$form, $at] = $m[0];
                [$before, $after] = [trim(substr($text, 0, $at)), trim(substr($text, $at + \strlen($form)))];

                return self::isSized($before, $after) ? null : [$name, Size::ofTicks($width, $height), $creases, trim($before.' '.$after)];
            }
        }

        return null;
    }

    /** Whether a size is said before or right behind the name of a piece; one further behind belongs to the name of a paper. */
    private static function isSized(string $before, string $after): bool
    {
        $behind = SheetSize::cutOutOf($after, LengthUnit::Inch);

        return null !== SheetSize::cutOutOf($before, LengthUnit::Inch) || (null !== $behind && '' === $behind[1]);
    }

    /** Returns the line that asks for so many of what was cut before: by its name in the trade, or by its size. */
    public static function lineFor(int $quantity, string $name, Size $size, LengthFormat $lengths, string $paper): string
    {
        $known = self::known($name, $lengths->unit);
        $what = null !== $known && ($known[1]->equals($size) || $known[1]->turned()->equals($size))
            ? $known[0]
            : (1 === preg_match('/(?<!\p{L})('.self::NOUN.')(?!\p{L})/iu', $name, $m) ? self::one(mb_strtolower($m[1])) : 'piece')
                .' '.$lengths->exact($size->width).' × '.$lengths->exact($size->height);

        return \sprintf('%d %s %s', $quantity, $what, $paper);
    }

    /**
     * @return array{string, Size, list<Crease>, string}|null
     *
     * @throws InvalidLength if a side is nothing
     */
    private static function sized(string $text, LengthUnit $unit): ?array
    {
        $found = SheetSize::cutOutOf($text, $unit);
        if (null === $found) {
            return null;
        }
        [$size, $name, $besides] = $found;
        if ('' === $name && 1 === preg_match('/^('.self::NOUN.')(?!\p{L})\s*(.*)$/iuD', $besides, $m)) {
            [$name, $besides] = [$m[1], $m[2]];
        }
        $folded = 1 === preg_match('/(?<!\p{L})(top|side)[- ]fold(?:ed)?(?!\p{L})/iu', $name.' '.$besides, $m) ? strtolower($m[1]) : null;
        $besides = trim((string) preg_replace('/(?<!\p{L})(?:top|side)[- ]fold(?:ed)?(?!\p{L})/iu', '', $besides), ' ,;');
        [$width, $height] = [$size->width->ticks, $size->height->ticks];

        return match ($folded) {
            'top' => [self::one($name), Size::ofTicks($width, 2 * $height), [new Crease(false, $height)], $besides],
            'side' => [self::one($name), Size::ofTicks(2 * $width, $height), [new Crease(true, $width)], $besides],
            default => [self::one($name), $size, [], $besides],
        };
    }

    private static function one(string $name): string
    {
        $name = trim($name, " \t,;:");

        return match (true) {
            '' === $name => 'piece',
            1 === preg_match('/[^s]s$/iu', $name) => substr($name, 0, -1),
            default => $name,
        };
    }

    private static function paperIn(string $text): string
    {
        return trim((string) preg_replace('/^(?:(?:cut )?(?:from|out of|of|in)\s+)/iu', '', trim($text, " \t,;:")), " \t,;:");
    }
}
