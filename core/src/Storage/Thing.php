<?php

declare(strict_types=1);

namespace Lottel\Core\Storage;

/** What filing needs to know about an item. */
final readonly class Thing
{
    /** @param list<string> $themes */
    public function __construct(
        public int $id,
        public string $name,
        public string $maker = '',
        public Kind $kind = Kind::Other,
        public array $themes = [],
        public ?string $colour = null,
    ) {
    }
}
