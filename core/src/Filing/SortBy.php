<?php

declare(strict_types=1);

namespace Lottel\Core\Filing;

/** One criterion of a filing scheme. */
enum SortBy: string
{
    case Name = 'name';
    case Maker = 'maker';
    case Kind = 'kind';
    case Theme = 'theme';
    case Colour = 'colour';
    case Collection = 'collection';
    case Size = 'size';
    case Season = 'season';
}
