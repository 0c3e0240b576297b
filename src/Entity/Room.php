<?php

declare(strict_types=1);

namespace App\Entity;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Measure\LengthUnit;

#[ORM\Entity]
class Room
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 2)]
        public LengthUnit $measure,
        #[ORM\Column(length: 64)]
        public string $timeZone,
    ) {
    }
}
