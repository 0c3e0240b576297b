<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Kits\Kits\Kit;
use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;

/** A page of an album, or the gap where one is still to be made. */
#[ORM\Entity]
#[ORM\Table(name: 'album_page')]
#[ORM\Index(name: 'album_page_album', columns: ['album_id', 'position'])]
#[ORM\Index(name: 'album_page_item', columns: ['item_id'])]
#[ORM\Index(name: 'album_page_kit', columns: ['kit_id'])]
class AlbumPage
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Item $item = null;

    /** The kit that makes it. */
    #[ORM\ManyToOne]
    public ?Kit $kit = null;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'pages'), ORM\JoinColumn(nullable: false)]
        public readonly Album $album,
        #[ORM\Column]
        public int $position,
        #[ORM\Column(length: 120, options: ['default' => ''])]
        public string $title = '',
    ) {
    }

    public function assignTo(Kit $kit): void
    {
        $this->kit = $kit;
    }

    /** A page without a title is called as what is on it. */
    public function fill(Item $item): void
    {
        [$this->item, $this->title] = [$item, '' === $this->title ? $item->name : $this->title];
    }

    /** There is a gap where it was. */
    public function takeOut(): void
    {
        $this->item = null;
    }

    public function changePlacesWith(self $other): void
    {
        [$this->position, $other->position] = [$other->position, $this->position];
    }

    /** What is not before a new page comes after it. */
    public function makeWayFor(self $new): void
    {
        $this->position += $this->position >= $new->position ? 1 : 0;
    }
}
