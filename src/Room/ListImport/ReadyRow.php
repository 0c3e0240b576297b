<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Lottel\Core\ListImport\ListRow;
use Lottel\Core\Log\Tracking;

/** A row as it will be written down. */
final readonly class ReadyRow
{
    /**
     * @param int|null $place as PlacesOfList finds it
     * @param bool $adds whether it adds to what the room has already
     */
    public function __construct(public int $row, public ListRow $says, public ?int $place, public bool $adds)
    {
    }

    public function tracking(): Tracking
    {
        return $this->says->thing->tracking;
    }

    /** @return list<string> what else is written down of it, apart from size, weight, colour and price */
    public function more(): array
    {
        $says = $this->says;
        $more = [
            implode(', ', $says->thing->themes),
            '' === $says->words ? '' : '“'.str_replace("\n", ' · ', $says->words).'”',
            $says->collection,
            '' === $says->season ? '' : 'season '.$says->season,
            '' === $says->shop ? '' : 'from '.$says->shop,
            str_replace("\n", ' · ', $says->note),
        ];

        return array_values(array_filter($more, static fn (string $text): bool => '' !== $text));
    }
}
