<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** What of an item's record can be changed on its own, where it stands on the page. */
enum RecordWord: string
{
    case Name = 'name';
    case Maker = 'maker';
    case Themes = 'themes';
    case Colour = 'colour';
    case Words = 'sentiments';
    case Note = 'note';
    case Size = 'size';
    case Weight = 'weight';
    case Direction = 'direction';
    case Cuts = 'cuts';

    public function label(): string
    {
        return match ($this) {
            self::Name => 'Name',
            self::Maker => 'Maker',
            self::Themes => 'Themes',
            self::Colour => 'Colour',
            self::Words => 'Words on it, one a line',
            self::Note => 'Note',
            self::Size => 'Size of a sheet',
            self::Weight => 'Weight of the paper',
            self::Direction => 'Pattern or grain runs',
            self::Cuts => 'Sizes that it cuts',
        };
    }
}
