<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Database\Row;
use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** A tablet, phone or computer that was let in. */
#[Exclude]
final readonly class Device
{
    private function __construct(
        public int $id,
        public string $name,
        public \DateTimeImmutable $letInAt,
        public \DateTimeImmutable $seenAt,
        public ?\DateTimeImmutable $shutOutAt,
        public string $by,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->time('let_in_at'),
            $row->time('seen_at'),
            $row->timeOrNull('shut_out_at'),
            $row->textOrNull('by') ?? '',
        );
    }

    public function isIn(): bool
    {
        return null === $this->shutOutAt;
    }
}
