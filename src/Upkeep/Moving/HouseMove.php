<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Moving\BoxLimits;

/** The room moves house: its things travel in boxes. */
#[ORM\Entity]
#[ORM\Table(name: 'house_move')]
class HouseMove
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column]
    public int $boxWidth;

    #[ORM\Column]
    public int $boxHeight;

    #[ORM\Column]
    public int $boxDepth;

    #[ORM\Column]
    public int $mostGrams;

    /** Since when the boxes are where they are to be, and are unpacked. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $movedAt = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $endedAt = null;

    /** @var Collection<int, BoxOfMove> */
    #[ORM\OneToMany(targetEntity: BoxOfMove::class, mappedBy: 'move', cascade: ['persist'])]
    #[ORM\OrderBy(['nth' => 'ASC'])]
    public Collection $boxes;

    /** @param list<int> $byHand items that are carried by themselves */
    public function __construct(
        BoxLimits $limits,
        #[ORM\Column(type: 'json', options: ['default' => '[]'])]
        public array $byHand,
        #[ORM\Column]
        public readonly \DateTimeImmutable $begunAt,
    ) {
        [$this->boxWidth, $this->boxHeight, $this->boxDepth] = [
            $limits->inside->width->ticks, $limits->inside->height->ticks, $limits->inside->depth->ticks,
        ];
        $this->mostGrams = $limits->mostGrams;
        $this->boxes = new ArrayCollection();
    }

    /** The boxes are where they are to be, and are unpacked. */
    public function arrive(\DateTimeImmutable $at): void
    {
        $this->movedAt = $at;
    }

    public function end(\DateTimeImmutable $at): void
    {
        $this->endedAt = $at;
    }

    public function limits(): BoxLimits
    {
        return new BoxLimits(
            new Box(Length::ofTicks($this->boxWidth), Length::ofTicks($this->boxHeight), Length::ofTicks($this->boxDepth)),
            $this->mostGrams,
        );
    }

    /** @return list<BoxOfMove> in the order in which they are packed, or unpacked once the room has moved */
    public function inOrder(): array
    {
        $boxes = array_values($this->boxes->toArray());
        usort($boxes, fn (BoxOfMove $one, BoxOfMove $other): int => null === $this->movedAt
            ? $one->nth <=> $other->nth
            : $one->unpackNth <=> $other->unpackNth);

        return $boxes;
    }

    /** How many boxes are packed, or unpacked once the room has moved. */
    public function done(): int
    {
        return $this->boxes->filter(fn (BoxOfMove $box): bool => null === $this->movedAt ? !$box->isToPack() : $box->isOver())->count();
    }

    /** The box that is to be packed, or unpacked, next; null where none is. */
    public function next(): ?BoxOfMove
    {
        foreach ($this->inOrder() as $box) {
            if (null === $this->movedAt ? $box->isToPack() : $box->isToUnpack()) {
                return $box;
            }
        }

        return null;
    }
}
