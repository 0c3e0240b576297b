<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

/** The schools of filing what a cut leaves (common practice, no source). */
enum OffcutSchool: string
{
    case Colour = 'colour';
    case Maker = 'maker';
    case Collection = 'collection';
    case Parent = 'parent';

    /** Returns how a person says it. */
    public function words(): string
    {
        return match ($this) {
            self::Colour => 'by colour',
            self::Maker => 'by maker',
            self::Collection => 'with its collection',
            self::Parent => 'beside the paper it comes from',
        };
    }
}
