<?php

declare(strict_types=1);

namespace App\Platform\Schema;

use App\Kits\Kits\Kit;
use App\Platform\Security\Account;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;

/** A line of the log as the database keeps it, so that the schema is known as a whole. Only LogBook adds lines, and nothing changes one. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'movement')]
#[ORM\Index(name: 'movement_item', columns: ['item_id', 'id'])]
#[ORM\Index(name: 'movement_from', columns: ['from_id', 'id'])]
#[ORM\Index(name: 'movement_to', columns: ['to_id', 'id'])]
#[ORM\Index(name: 'movement_kit', columns: ['kit_id', 'id'])]
#[ORM\Index(name: 'movement_account', columns: ['account_id', 'id'])]
#[ORM\Index(name: 'movement_reason', columns: ['reason', 'id'])]
#[ORM\Index(name: 'movement_at', columns: ['at', 'id'])]
#[ORM\Index(name: 'movement_request', columns: ['request_id'])]
class LoggedMovement
{
    private function __construct(
        #[ORM\Id, ORM\GeneratedValue, ORM\Column]
        public readonly int $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $from,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $to,
        #[ORM\ManyToOne]
        public readonly ?Kit $kit,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Account $account,
        #[ORM\ManyToOne(targetEntity: self::class)]
        public readonly ?self $reverses,
        #[ORM\Column]
        public readonly int $quantity,
        #[ORM\Column]
        public readonly \DateTimeImmutable $at,
        #[ORM\Column(length: 10)]
        public readonly string $reason,
        #[ORM\Column(length: 300, options: ['default' => ''])]
        public readonly string $note,
        #[ORM\Column(length: 36)]
        public readonly string $requestId,
    ) {
    }
}
