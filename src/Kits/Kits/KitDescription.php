<?php

declare(strict_types=1);

namespace App\Kits\Kits;

/** What a person says about a kit. */
final readonly class KitDescription
{
    public function __construct(
        public string $name,
        public string $makes = '',
        public ?\DateTimeImmutable $dueOn = null,
        public string $forWhom = '',
        public string $occasion = '',
        public string $note = '',
    ) {
    }
}
