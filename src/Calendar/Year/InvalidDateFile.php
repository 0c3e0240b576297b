<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\Refusal;

/** A file in which no dates can be looked for. */
final class InvalidDateFile extends \DomainException implements Refusal
{
    public static function isNeither(): self
    {
        return new self('This is neither a calendar (.ics) nor an address book (.vcf). Let the program that has the birthdays write one of these.');
    }

    public static function isBroken(): self
    {
        return new self('This file breaks off or is damaged. Let the program that has the birthdays write it once more.');
    }

    public static function tooMany(int $there, int $most): self
    {
        return new self(\sprintf(
            'This file has %s entries; %s at once is the most. Let only the birthdays be written.',
            number_format($there),
            number_format($most),
        ));
    }

    public static function tooLarge(): self
    {
        return new self('This file is larger than 4 MB. Let only the birthdays be written.');
    }

    public static function didNotArrive(): self
    {
        return new self('Choose a file, .ics or .vcf.');
    }

    public static function hasNone(): self
    {
        return new self('No birthday and no anniversary is in this file: only dates that come every year are looked for, and birthdays of people.');
    }

    public function field(): string
    {
        return 'file';
    }
}
