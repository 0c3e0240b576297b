<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

final class InvalidPaste extends \InvalidArgumentException
{
    /** What is wrong, without the number of the line, where that is known. */
    public ?string $why = null;

    private string $cell = 'name';

    /** The part of the line that is wrong: name, quantity or colour. */
    public function cell(): string
    {
        return $this->cell;
    }

    public static function tooManyFields(int $line): self
    {
        return new self(\sprintf('Line %d has too many semicolons; write name; maker; quantity; themes; colour.', $line));
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
        $wrong = new self(\sprintf('The quantity on line %d cannot be read. %s', $line, $why));
        $wrong->why = $why;
        $wrong->cell = 'quantity';

        return $wrong;
    }

    public static function badColour(int $line): self
    {
        $wrong = new self(\sprintf('The colour on line %d is neither a name nor a code such as #1f7a6d.', $line));
        $wrong->why = 'Neither a name nor a code such as #1f7a6d.';
        $wrong->cell = 'colour';

        return $wrong;
    }
}
