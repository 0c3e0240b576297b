<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Lines about pieces that cannot be read; the message names the line. */
final class InvalidPieces extends \DomainException
{
    public static function hasNoSize(string $line): self
    {
        return new self(\sprintf('How large is “%s”? Write it like “12 panels 4 × 5 1/4 Petrel” or “40 A2 panels”.', self::short($line)));
    }

    public static function sizeIsNone(string $line): self
    {
        return new self(\sprintf('Both sides of “%s” are more than nothing and no more than 3 m.', self::short($line)));
    }

    public static function quantityIsOut(string $line, int $most): self
    {
        return new self(\sprintf('“%s”: from 1 to %s pieces in a line. Cut more in another batch.', self::short($line), number_format($most)));
    }

    public static function tooManyLines(int $lines, int $most): self
    {
        return new self(\sprintf('%d lines are too many at once; %d at the most.', $lines, $most));
    }

    public static function nothing(): self
    {
        return new self('Write what is to be cut, such as “12 panels 4 × 5 1/4 Petrel”.');
    }

    public static function paperIsUnknown(string $words): self
    {
        return new self(\sprintf('No paper in the room is called “%s”. Write its name or its colour as it stands in the room.', self::short($words)));
    }

    /** @param list<string> $names */
    public static function paperIsOneOf(string $words, array $names): self
    {
        return new self(\sprintf('“%s” may be %s. Write more of the name.', self::short($words), implode(' or ', $names)));
    }

    public static function paperIsMissing(string $line): self
    {
        return new self(\sprintf('“%s” is cut from which paper? Write its name or colour behind it, or choose one for all lines.', self::short($line)));
    }

    private static function short(string $text): string
    {
        return mb_strlen($text) > 60 ? mb_substr($text, 0, 59).'…' : $text;
    }
}
