<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\Row;
use App\Room\Stores;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\PlaceNature;

/** Reads a place as the log knows it. */
final class PlaceInLog
{
    /** @param string $prefix of its columns id, nature, kind, address and retired_at */
    public static function of(Row $row, string $prefix = ''): LoggedPlace
    {
        return new LoggedPlace(
            $row->int($prefix.'id'),
            $row->one($prefix.'nature', PlaceNature::class),
            RetiredAddress::onLabel($row->text($prefix.'address')),
            null !== $row->textOrNull($prefix.'retired_at'),
            Stores\Place::PERSON === $row->text($prefix.'kind'),
            Stores\Place::BASKET === $row->text($prefix.'kind'),
        );
    }
}
