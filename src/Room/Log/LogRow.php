<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\Row;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Tracking;

/** A line of the log with the names of what it speaks of; its quantity is counted as it was then. */
final readonly class LogRow
{
    private function __construct(
        public int $id,
        public int $itemId,
        public string $item,
        public int $quantity,
        public Tracking $tracking,
        public LogEnd $from,
        public LogEnd $to,
        public \DateTimeImmutable $at,
        public int $personId,
        public string $person,
        public ?int $kitId,
        public string $kit,
        public Reason $reason,
        public string $note,
        public ?int $reversesId,
        public bool $isReversed,
        private bool $isReversible,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('item_id'),
            $row->text('item'),
            $row->int('quantity'),
            $row->one('tracking', Tracking::class),
            new LogEnd($row->text('from_address'), $row->one('from_nature', PlaceNature::class)),
            new LogEnd($row->text('to_address'), $row->one('to_nature', PlaceNature::class)),
            $row->time('at'),
            $row->int('account_id'),
            $row->text('person'),
            $row->intOrNull('kit_id'),
            (string) $row->textOrNull('kit'),
            $row->one('reason', Reason::class),
            $row->text('note'),
            $row->intOrNull('reverses_id'),
            null !== $row->intOrNull('reversed_by'),
            $row->flag('is_reversible'),
        );
    }

    /** A helper puts right what is their own or part of the loop; the owner all that can be. */
    public function mayBePutRightBy(int $person, bool $isOwner): bool
    {
        return $this->isReversible && ($isOwner || $person === $this->personId || $this->reason->isOfTheLoop());
    }
}
