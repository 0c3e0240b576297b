<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Security\Account;
use Doctrine\ORM\Mapping as ORM;

/**
 * A calendar that another program asks for by an address that nobody guesses. What makes the address is not kept: it comes of the salt and
 * the room's secret.
 */
#[ORM\Entity]
#[ORM\Table(name: 'feed')]
#[ORM\Index(name: 'feed_account', columns: ['account_id'])]
class Feed
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $stoppedAt = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Account $account,
        #[ORM\Column(length: 60)]
        public readonly string $name,
        #[ORM\Column(length: 32)]
        public readonly string $salt,
        #[ORM\Column]
        public readonly \DateTimeImmutable $madeAt,
    ) {
    }

    /** Nobody is answered by it any more. */
    public function stop(\DateTimeImmutable $at): void
    {
        $this->stoppedAt = $at;
    }
}
