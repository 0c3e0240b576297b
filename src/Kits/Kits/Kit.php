<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Room\Log\ForKit;
use App\Room\Stores\Place;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Kit\Stage;

#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'kit_tray', columns: ['tray_id'])]
#[ORM\Index(name: 'kit_stage', columns: ['stage'])]
class Kit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    private ?Place $tray = null;

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

    /** A photo of a sketch that stays with it. */
    #[ORM\Column(length: 40, nullable: true)]
    public ?string $sketch = null;

    #[ORM\Column(length: 10)]
    private Stage $stage = Stage::Planned;

    #[ORM\Column(nullable: true)]
    protected ?\DateTimeImmutable $outSince = null;

    #[ORM\Column(nullable: true)]
    protected ?\DateTimeImmutable $closedAt = null;

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

    public function describe(KitDescription $said): void
    {
        $this->name = $said->name;
        $this->makes = $said->makes;
        $this->dueOn = $said->dueOn;
        $this->forWhom = $said->forWhom;
        $this->occasion = $said->occasion;
        $this->note = $said->note;
    }

    public function rename(string $name): void
    {
        $this->name = $name;
    }

    public function sayWhatItMakes(string $makes): void
    {
        $this->makes = $makes;
    }

    public function setDue(?\DateTimeImmutable $day): void
    {
        $this->dueOn = $day;
    }

    public function note(string $note): void
    {
        $this->note = $note;
    }

    public function sketch(?string $photo): void
    {
        $this->sketch = $photo;
    }

    /** It is planned no longer, though the log speaks of it. */
    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt = $at;
    }

    public function isClosed(): bool
    {
        return Stage::Closed === $this->stage;
    }

    public function isPlanned(): bool
    {
        return Stage::Planned === $this->stage;
    }

    /** What is done at the bench ends the pull. */
    public function beginMaking(): void
    {
        if ($this->isBeingPulled()) {
            $this->goTo(Stage::Making);
        }
    }

    public function isBeingPulled(): bool
    {
        return Stage::Pulling === $this->stage;
    }

    /** @throws RefusedStage if it is closed: nothing comes onto its list any more */
    public function checkOpen(): void
    {
        if (Stage::Closed === $this->stage) {
            throw RefusedStage::stageCannotFollow(Stage::Closed, Stage::Planned);
        }
    }

    public function stage(): Stage
    {
        return $this->stage;
    }

    /** @throws RefusedStage if the kit's life does not allow it */
    public function goTo(Stage $next): void
    {
        $this->stage = $this->stage->to($next);
    }

    public function hasTray(): bool
    {
        return null !== $this->tray;
    }

    public function goOnto(Place $tray, \DateTimeImmutable $at): void
    {
        $this->tray = $tray;
        $this->outSince = $at;
    }

    /** All of it is carried to another tray, or into a folder. */
    public function carryTo(Place $tray): void
    {
        $this->tray = $tray;
    }

    /** Whether anything may be put onto its list or tray now: what goes home, or waits in a folder, takes nothing more. */
    public function takesMore(): bool
    {
        return !$this->isParked() && \in_array($this->stage, [Stage::Planned, Stage::Pulling, Stage::Making], true);
    }

    /** Whether it waits in a folder. */
    public function isParked(): bool
    {
        return true === $this->tray?->isFolder();
    }

    /** The tray or folder that it has; null where nothing of it is out. */
    public function tray(): ?Place
    {
        return $this->tray;
    }

    /** @throws RefusedStage if it has no tray */
    public function trayInUse(): Place
    {
        return $this->tray ?? throw RefusedStage::hasNoTray($this->stage);
    }

    /** What the log has to know of it. */
    public function inLog(): ForKit
    {
        return new ForKit((int) $this->id, $this->tray?->id);
    }

    /**
     * @param int $onTray how many different things are still on its tray
     *
     * @throws RefusedStage if it is closed already, or anything is left (law 6)
     */
    public function close(int $onTray, \DateTimeImmutable $at): void
    {
        if (Stage::Closed === $this->stage) {
            throw RefusedStage::stageCannotFollow(Stage::Closed, Stage::Closed);
        }
        $this->stage = $this->stage->close($onTray);
        $this->tray = null;
        $this->closedAt = $at;
    }
}
