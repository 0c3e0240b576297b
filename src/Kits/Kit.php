<?php

declare(strict_types=1);

namespace App\Kits;

use App\Stores\Place;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Kit\RefusedStep;
use Lottel\Core\Kit\Stage;

#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'kit_tray', columns: ['tray_id'])]
#[ORM\Index(name: 'kit_stage', columns: ['stage'])]
class Kit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Place $tray = null;

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $makes = '';

    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $dueOn = null;

    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $forWhom = '';

    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $occasion = '';

    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $note = '';

    #[ORM\Column(length: 10)]
    public Stage $stage = Stage::Planned;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $outSince = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $closedAt = null;

    /** Since when it is no longer planned, though the log speaks of it. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /** @var Collection<int, Need> */
    #[ORM\OneToMany(targetEntity: Need::class, mappedBy: 'kit')]
    public Collection $needs;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column]
        public \DateTimeImmutable $createdAt,
    ) {
        $this->needs = new ArrayCollection();
    }

    /** @throws RefusedStep if the kit's life does not allow it */
    public function goTo(Stage $next): void
    {
        $this->stage = $this->stage->to($next);
    }

    /** @throws RefusedStep if it has no tray */
    public function trayInUse(): Place
    {
        return $this->tray ?? throw RefusedStep::hasNoTray($this->stage);
    }
}
