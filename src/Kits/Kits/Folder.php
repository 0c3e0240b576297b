<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;

/** A numbered folder or bag in which a pulled kit waits, and where the folder itself stands. */
#[ORM\Entity]
#[ORM\Table(name: 'folder')]
#[ORM\UniqueConstraint(name: 'folder_place', columns: ['place_id'])]
#[ORM\Index(name: 'folder_home', columns: ['home_id'])]
class Folder
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Place $home = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Place $place,
    ) {
    }

    public function giveHome(?Place $home): void
    {
        $this->home = $home;
    }
}
