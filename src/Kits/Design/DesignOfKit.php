<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\KeptDesign;

/** What a kit makes, worked out. */
#[ORM\Entity]
#[ORM\Table(name: 'design')]
#[ORM\UniqueConstraint(name: 'design_kit', columns: ['kit_id'])]
#[ORM\Index(name: 'design_pattern', columns: ['pattern_id'])]
class DesignOfKit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** @var array<string, mixed> what KeptDesign keeps */
    #[ORM\Column(type: 'json')]
    private array $document;

    /** Counts its changes, so that an old page is known as one. */
    #[ORM\Column(options: ['default' => 1])]
    public int $revision = 1;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
        Design $design,
        /** What it was made from, or kept as. */
        #[ORM\ManyToOne]
        public ?Pattern $pattern = null,
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
        ++$this->revision;
    }

    public function keepAs(Pattern $pattern): void
    {
        $this->pattern = $pattern;
    }
}
