<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Doctrine\ORM\Mapping as ORM;

/** A day on which there are other hours at the bench than on its weekday. */
#[ORM\Entity]
#[ORM\Table(name: 'other_hours')]
#[ORM\UniqueConstraint(name: 'other_hours_day', columns: ['day'])]
class OtherHours
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\Column(type: 'date_immutable')]
        public readonly \DateTimeImmutable $day,
        #[ORM\Column]
        public int $minutes,
    ) {
    }

    public function setMinutes(int $minutes): void
    {
        $this->minutes = $minutes;
    }
}
