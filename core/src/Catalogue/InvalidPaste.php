<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

final class InvalidPaste extends \InvalidArgumentException
{
    /** What is wrong, without the number of the line, where that is known. */
    public ?string $why = null;

    private string $cell = 'name';

    /** The part of the line that is wrong: name, quantity, colour, size or weight. */
    public function cell(): string
    {
        return $this->cell;
    }

    public static function tooManyFields(int $line): self
    {
        return new self(\sprintf('Line %d has too many semicolons; write name; maker; quantity; themes; colour; size; weight.', $line));
    }

    public static function noName(int $line): self
    {
        return new self(\sprintf('Line %d has no name in front of its semicolon.', $line));
    }

    public static function tooLong(int $line): self
    {
        return new self(\sprintf('The name on line %d is too long; 200 characters at the most.', $line));
    }

    /** @param string $why what is wrong with the quantity, in a sentence of its own */
    public static function badQuantity(int $line, string $why): self
    {
        return self::bad('quantity', \sprintf('The quantity on line %d cannot be read. %s', $line, $why), $why);
    }

    /** @param string $why what is wrong with the size of the sheet, in a sentence of its own */
    public static function badSize(int $line, string $why): self
    {
        return self::bad('size', \sprintf('The size on line %d cannot be read. %s', $line, $why), $why);
    }

    /** @param string $why what is wrong with the weight of the paper, in a sentence of its own */
    public static function badWeight(int $line, string $why): self
    {
        return self::bad('weight', \sprintf('The weight on line %d cannot be read. %s', $line, $why), $why);
    }

    public static function badColour(int $line): self
    {
        $why = 'Neither a name nor a code such as #1f7a6d.';

        return self::bad('colour', \sprintf('The colour on line %d is neither a name nor a code such as #1f7a6d.', $line), $why);
    }

    private static function bad(string $cell, string $message, string $why): self
    {
        $wrong = new self($message);
        [$wrong->why, $wrong->cell] = [$why, $cell];

        return $wrong;
    }
}
