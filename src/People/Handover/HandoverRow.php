<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Platform\Database\Row;
use Lottel\Core\Kit\Stage;

/** A round that is handed over and not taken on yet. */
final readonly class HandoverRow
{
    private function __construct(
        public int $id,
        public string $name,
        public string $giver,
        public string $taker,
        public int $giverId,
        public int $takerId,
        public string $note,
        public \DateTimeImmutable $at,
        public ?int $kit,
        public ?int $errand,
        public ?Stage $stage,
    ) {
    }

    public static function of(Row $row): self
    {
        $kit = $row->intOrNull('kit_id');

        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->text('giver'),
            $row->text('taker'),
            $row->int('giver_id'),
            $row->int('taker_id'),
            $row->text('note'),
            $row->time('at'),
            $kit,
            $row->intOrNull('errand_id'),
            null === $kit ? null : $row->one('stage', Stage::class),
        );
    }

    /** What it is, as it is said in a sentence. */
    public function what(): string
    {
        return match ($this->stage) {
            Stage::Planned, Stage::Pulling => 'the pull for',
            Stage::Making => 'the making of',
            Stage::Returning => 'the way home of',
            default => 'the round',
        };
    }
}
