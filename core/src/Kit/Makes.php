<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Words\Counted;

/** What a kit makes, as a person writes it: how many pieces, of what, and what else is known of them. */
final readonly class Makes
{
    private const NUMBERS = ['a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'ten' => 10, 'twelve' => 12];
    private const MOST = 10_000;
    private const NO_PLURALS = ['spread', 'people', 'persons'];

    /**
     * @param int|null $pieces null where it says no number
     * @param string $piece one of them, such as “card”
     */
    private function __construct(public ?int $pieces, public string $piece)
    {
    }

    /** Reads text such as `12 cards, A2, top fold`, `one 12 × 12 page` or `6 cards with bunting`. */
    public static function read(string $text): self
    {
        if (1 !== preg_match('/^\s*(\d{1,5}|[a-z]+)\s+(.+)$/iu', $text, $m)) {
            return new self(null, 'piece');
        }
        $number = ctype_digit($m[1]) ? (int) $m[1] : self::NUMBERS[mb_strtolower($m[1])] ?? 0;
        if ($number < 1 || $number > self::MOST || 1 === preg_match('/^[×x]\s*\d/u', $m[2])) {
            return new self(null, 'piece');
        }

        return new self($number, self::singular($m[2]));
    }

    /** Returns the text with another number of pieces in it; one that says no number stays as it is. */
    public static function numbered(string $text, int $pieces): string
    {
        return self::read($text)->pieces === $pieces || null === self::read($text)->pieces
            ? $text
            : (string) preg_replace('/^(\s*)\S+/u', '${1}'.$pieces, $text);
    }

    /** Returns what a kit is called that is planned in one line: “Birthday cards” for `8 birthday cards, A2`, the line itself where it says no number. */
    public static function title(string $line): string
    {
        if (null === self::read($line)->pieces) {
            return $line;
        }
        $name = (string) preg_replace('/^\S+\s+/u', '', trim(explode(',', $line)[0]));

        return mb_strtoupper(mb_substr($name, 0, 1)).mb_substr($name, 1);
    }

    /** Returns the beginning of a text that is no longer than so many characters, whole words of it; the whole where it is short enough. */
    public static function beginning(string $text, int $most): string
    {
        if (mb_strlen($text) <= $most) {
            return $text;
        }
        $short = mb_substr($text, 0, $most);
        $end = mb_strrpos($short, ' ');

        return rtrim(false === $end ? mb_substr($short, 0, $most - 1) : mb_substr($short, 0, min($end, $most - 1)), ' ,;').'…';
    }

    /** Returns what the pieces of a kit are called unless a person says so: the name of the kit without its number. */
    public static function nameOfPieces(string $kit): string
    {
        return (string) preg_replace('/\s*[×x]\s*\d+\s*$/u', '', $kit);
    }

    /** Returns a number of them in words, such as “4 cards”. */
    public function many(int $number): string
    {
        return Counted::of($number, $this->piece);
    }

    /** The last word in front of a comma or of “with”, “for”, “from”; sizes are passed over. */
    private static function singular(string $text): string
    {
        $head = preg_split('/,| with | for | from | of /u', $text)[0] ?? '';
        $words = preg_split('/[\s]+/u', $head, -1, \PREG_SPLIT_NO_EMPTY) ?: [];
        $noun = mb_strtolower((string) end($words));
        if (1 !== preg_match('/^\p{L}[\p{L}-]+$/u', $noun) || \in_array($noun, self::NO_PLURALS, true)) {
            return 'piece';
        }

        return match (true) {
            str_ends_with($noun, 'ies') => substr($noun, 0, -3).'y',
            str_ends_with($noun, 'xes'), str_ends_with($noun, 'ches') => substr($noun, 0, -2),
            str_ends_with($noun, 's') && !str_ends_with($noun, 'ss') => substr($noun, 0, -1),
            default => $noun,
        };
    }
}
