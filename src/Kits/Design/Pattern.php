<?php

declare(strict_types=1);

namespace App\Kits\Design;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\KeptDesign;

/** A design that is kept to be made again. */
#[ORM\Entity]
#[ORM\Table(name: 'pattern')]
class Pattern
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** @var array<string, mixed> what KeptDesign keeps */
    #[ORM\Column(type: 'json')]
    private array $document;

    /** Since when it is not offered any more. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        Design $design,
        #[ORM\Column]
        public \DateTimeImmutable $keptAt,
    ) {
        $this->document = KeptDesign::of($design);
    }

    public function design(): Design
    {
        return KeptDesign::read($this->document);
    }

    public function put(Design $design): void
    {
        $this->document = KeptDesign::of($design);
    }

    /** It is not offered any more. */
    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt = $at;
    }
}
