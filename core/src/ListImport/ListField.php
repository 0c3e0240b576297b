<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

/** What a column of somebody's list may say of a thing. */
enum ListField: string
{
    case Name = 'name';
    case Kind = 'kind';
    case Maker = 'maker';
    case Quantity = 'quantity';
    case Place = 'place';
    case Themes = 'themes';
    case Colour = 'colour';
    case Size = 'size';
    case Width = 'width';
    case Height = 'height';
    case Weight = 'weight';
    case Words = 'words';
    case Collection = 'collection';
    case Season = 'season';
    case Price = 'price';
    case Shop = 'shop';
    case Note = 'note';

    public function label(): string
    {
        return match ($this) {
            self::Name => 'its name',
            self::Kind => 'what it is',
            self::Maker => 'its maker',
            self::Quantity => 'how many',
            self::Place => 'where it lives',
            self::Themes => 'its themes',
            self::Colour => 'its colour',
            self::Size => 'its size',
            self::Width => 'how wide',
            self::Height => 'how high',
            self::Weight => 'weight of the paper',
            self::Words => 'words on it',
            self::Collection => 'its collection',
            self::Season => 'its season',
            self::Price => 'what one cost',
            self::Shop => 'where it was bought',
            self::Note => 'a note',
        };
    }
}
