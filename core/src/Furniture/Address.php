<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

/**
 * The short code on a place's label: unit letters, row, perhaps a column, then inner places after dots:
 * `C3`, `K2-4`, `C3.b`, `A10.2.c`.
 */
final readonly class Address implements \Stringable
{
    public const MOST_CHARACTERS = 24;

    private function __construct(private string $code)
    {
    }

    /** @throws InvalidAddress if it does not look like an address */
    public static function parse(string $text): self
    {
        $code = trim($text);
        if (\strlen($code) > self::MOST_CHARACTERS || 1 !== preg_match('/^([a-z]{1,3})(\d{1,3}(?:-\d{1,3})?)((?:\.[a-z0-9]{1,4})*)$/iD', $code, $m)) {
            throw InvalidAddress::notReadable($text);
        }

        return new self(strtoupper($m[1]).$m[2].strtolower($m[3]));
    }

    /** Returns the addresses of a unit with these letters that read like sizes of cards and paper, such as A2; none for other letters. */
    public static function readLikeSizes(string $letters, int $places): string
    {
        $sizes = 'A' === $letters ? array_filter([2, 4, 6], static fn (int $number): bool => $number <= $places) : [];

        return implode(', ', array_map(static fn (int $number): string => $letters.$number, $sizes));
    }

    /** Returns what was typed as it stands on a label, or the text itself where it is no address. */
    public static function asTyped(string $text): string
    {
        try {
            return (string) self::parse($text);
        } catch (InvalidAddress) {
            return $text;
        }
    }

    /** @throws InvalidAddress if the unit's letters, the row or the column cannot be an address */
    public static function of(string $unit, int $row, ?int $column = null): self
    {
        return self::parse($unit.$row.(null === $column ? '' : '-'.$column));
    }

    /** @throws InvalidAddress if $label is not one to four letters or digits */
    public function inner(string $label): self
    {
        return self::parse($this->code.'.'.$label);
    }

    /** Returns the unit's letters. */
    public function unit(): string
    {
        return (string) preg_replace('/[^A-Z].*$/s', '', $this->code);
    }

    /** Compares two printed addresses in natural order; also takes codes that are no addresses, such as a tray's. */
    public static function compare(string $a, string $b): int
    {
        $aParts = self::parts($a);
        $bParts = self::parts($b);
        foreach ($aParts as $i => $part) {
            if (!isset($bParts[$i])) {
                return 1;
            }
            $order = \is_int($part) && \is_int($bParts[$i]) ? $part <=> $bParts[$i] : strcmp((string) $part, (string) $bParts[$i]);
            if (0 !== $order) {
                return $order;
            }
        }

        return \count($aParts) <=> \count($bParts);
    }

    public function __toString(): string
    {
        return $this->code;
    }

    /** @return list<int|string> */
    private static function parts(string $code): array
    {
        preg_match_all('/\d+|[a-z]+/i', $code, $m);

        return array_map(static fn (string $part): int|string => ctype_digit($part) ? (int) $part : strtolower($part), $m[0]);
    }
}
