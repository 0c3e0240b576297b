<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

/** Where items are found by their words. */
interface ItemIndex
{
    public function item(Item $item): void;

    /** @param list<Item> $items */
    public function items(array $items): void;

    public function forgetItem(int $item): void;
}
