<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Filing\FilingScheme;

/** A thing where it lies in its place, or the gap that it left there; of what is counted some may be here and some out. */
final readonly class Lying
{
    private function __construct(public ThingRow $row, public bool $isGap, public ?OutRow $out)
    {
    }

    /**
     * @param list<ThingRow> $contents
     * @param list<OutRow> $out
     *
     * @return list<self> each thing once, as they are filed
     */
    public static function inOrder(array $contents, array $out, FilingScheme $scheme): array
    {
        $lying = [];
        foreach ($out as $row) {
            $lying[$row->row->id] = new self($row->row, true, $row);
        }
        foreach ($contents as $row) {
            $lying[$row->id] = new self($row, false, $lying[$row->id]->out ?? null);
        }
        $things = array_values(array_map(static fn (self $one): Thing => $one->row->thing, $lying));

        return array_map(static fn (Thing $thing): self => $lying[$thing->id], $scheme->sort($things));
    }
}
