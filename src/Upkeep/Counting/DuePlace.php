<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Room\Stores\FrontRow;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Lottel\Core\Words\Counted;

/** A place that is due to be counted, and why. */
final readonly class DuePlace
{
    private function __construct(public string $address, public string $title, public int $things, public string $why)
    {
    }

    public static function of(PlaceHistory $place, ?FrontRow $front): self
    {
        $reasons = [
            Counted::of($place->touchedSince, 'movement').(null === $place->days ? ' in three months, never counted' : ' since the last count'),
            $place->wrong > 0 ? 'the log was wrong '.Counted::times($place->wrong).' there' : '',
            null !== $place->days && $place->days > 180 ? 'not counted for half a year' : '',
        ];

        return new self(
            $front->address ?? '',
            $front->title ?? '',
            $place->things,
            implode('; ', array_filter($reasons, static fn (string $reason): bool => '' !== $reason)),
        );
    }
}
