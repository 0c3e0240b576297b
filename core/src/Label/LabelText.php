<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** What stands on a label. */
final readonly class LabelText
{
    /**
     * @param string $head the address, or the name of what has none
     * @param list<string> $lines below it
     * @param string|null $code what its QR code says, null for a label without one
     * @param string|null $colour as hex, for a swatch
     * @param list<string> $contents for a contents sheet
     * @param bool $isAddress whether the head is set as an address
     */
    public function __construct(
        public string $head,
        public array $lines = [],
        public ?string $code = null,
        public ?string $colour = null,
        public array $contents = [],
        public bool $isAddress = true,
    ) {
    }
}
