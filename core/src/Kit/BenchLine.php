<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Log\Tracking;

/** Something on the tray that is used up by the work. Quantities as its tracking counts. */
final readonly class BenchLine
{
    /**
     * @param int $wanted what the list says for all pieces together, 0 where it says nothing
     * @param int|null $each what one piece takes, where the kit's design says so
     */
    public function __construct(
        public int $item,
        public string $name,
        public Tracking $tracking,
        public int $wanted,
        public int $used,
        public int $onTray,
        public ?int $each = null,
    ) {
    }
}
