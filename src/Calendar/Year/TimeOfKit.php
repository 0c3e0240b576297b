<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\Kit;
use Doctrine\ORM\Mapping as ORM;

/** What a person says of the time that a kit takes. */
#[ORM\Entity]
#[ORM\Table(name: 'kit_time')]
#[ORM\UniqueConstraint(name: 'kit_time_kit', columns: ['kit_id'])]
class TimeOfKit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** Of all of it; null where it is to be estimated. */
    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    #[ORM\Column(options: ['default' => 0])]
    public int $dryingDays = 0;

    /** Before which it cannot be worked on, such as the day on which its paper comes. */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $readyFrom = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
    ) {
    }

    /** @param int|null $minutes null where it is to be estimated */
    public function say(?int $minutes, int $dryingDays, ?\DateTimeImmutable $readyFrom): void
    {
        [$this->minutes, $this->dryingDays, $this->readyFrom] = [$minutes, $dryingDays, $readyFrom];
    }
}
