<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Platform\Database\Row;
use Lottel\Core\Log\Reason;

/** What another person did with the same kit a little while ago. */
final readonly class OtherDid
{
    private function __construct(public string $person, public string $item, private Reason $reason, public \DateTimeImmutable $at)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->text('person'), $row->text('item'), $row->one('reason', Reason::class), $row->time('at'));
    }

    public function inWords(): string
    {
        return \sprintf('%s %s %s', $this->person, $this->reason->past(), $this->item);
    }
}
