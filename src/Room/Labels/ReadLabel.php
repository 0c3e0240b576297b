<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Steps\Unknown;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Label\ScanCode;

/** Finds out what a scanned text belongs to; an address that somebody typed will do. */
final readonly class ReadLabel
{
    public function __construct(private Items $items, private Places $places)
    {
    }

    public function __invoke(string $text): ?Scanned
    {
        $code = ScanCode::read($text);
        try {
            return match (true) {
                null === $code => new Scanned($this->places->inUse((string) Address::parse($text)), null),
                $code->isPlace => new Scanned($this->places->labelled($code->id), null),
                default => new Scanned(null, $this->items->one($code->id)),
            };
        } catch (InvalidAddress|Unknown) {
            return null;
        }
    }
}
