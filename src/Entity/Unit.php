<?php

declare(strict_types=1);

namespace App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A piece of furniture. Lengths in ticks. */
#[ORM\Entity]
class Unit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(length: 300)]
    public string $caution = '';

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public Room $room,
        #[ORM\Column(length: 3)]
        public string $letters,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 20)]
        public string $template,
        #[ORM\Column(length: 60)]
        public string $wall,
        #[ORM\Column]
        public int $walk,
        #[ORM\Column]
        public int $width,
        #[ORM\Column]
        public int $height,
        #[ORM\Column]
        public int $depth,
        #[ORM\Column]
        public int $aboveFloor,
    ) {
    }
}
