<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Doctrine\ORM\Mapping as ORM;

/** Somebody whom something is made for, lent to or borrowed from. */
#[ORM\Entity]
#[ORM\Table(name: 'contact')]
class Contact
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** What they like, for the choice of a card. */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $likes = '';

    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $note = '';

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
    }

    public function like(string $likes): void
    {
        $this->likes = $likes;
    }
}
