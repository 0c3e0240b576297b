<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** Finished pages in order, with the gaps that are still to be made. */
#[ORM\Entity]
#[ORM\Table(name: 'album')]
class Album
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /** @var Collection<int, AlbumPage> */
    #[ORM\OneToMany(targetEntity: AlbumPage::class, mappedBy: 'album')]
    #[ORM\OrderBy(['position' => 'ASC', 'id' => 'ASC'])]
    public Collection $pages;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
        $this->pages = new ArrayCollection();
    }

    public function gaps(): int
    {
        return $this->pages->filter(static fn (AlbumPage $page): bool => null === $page->item)->count();
    }

    /** It is kept no more. */
    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt = $at;
    }
}
