<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Measure\Length;
use Lottel\Core\Room\Footprint;

/** A piece of furniture. Lengths in ticks. */
#[ORM\Entity]
#[ORM\Index(name: 'unit_room', columns: ['room_id'])]
class Unit
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(length: 300, options: ['default' => ''])]
    public string $caution = '';

    /** In millimetres from the room's left upper corner, null while it has no spot on the floor plan. */
    #[ORM\Column(nullable: true)]
    public ?int $planX = null;

    #[ORM\Column(nullable: true)]
    public ?int $planY = null;

    #[ORM\Column(options: ['default' => 0])]
    public int $turn = 0;

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

    /** Whether it has been taken out of the room; its letters are then free again and it has others, which nobody can type. */
    public function isRetired(): bool
    {
        return str_starts_with($this->letters, '~');
    }

    /** It is out of the room; its letters are free again. */
    public function retire(string $oldLetters): void
    {
        $this->letters = $oldLetters;
        $this->name = mb_substr($this->name.' (gone)', 0, 120);
        $this->planX = $this->planY = null;
    }

    public function describe(string $name, string $wall, string $caution, ?Length $aboveFloor): void
    {
        [$this->name, $this->wall, $this->caution, $this->aboveFloor] = [$name, $wall, $caution, $aboveFloor->ticks ?? 0];
    }

    public function warn(string $caution): void
    {
        $this->caution = $caution;
    }

    public function goInto(Room $room): void
    {
        $this->room = $room;
    }

    /** It is the so many-eth on the walk through all rooms, from 1. */
    public function numberOnWalk(int $walk): void
    {
        $this->walk = $walk;
    }

    /** Each stands where the other stood: in its room, on its wall, on its spot, and on the walk. */
    public function changePlacesWith(self $other): void
    {
        [$this->planX, $other->planX] = [$other->planX, $this->planX];
        [$this->planY, $other->planY] = [$other->planY, $this->planY];
        [$this->turn, $other->turn] = [$other->turn, $this->turn];
        [$this->wall, $other->wall] = [$other->wall, $this->wall];
        [$this->walk, $other->walk] = [$other->walk, $this->walk];
        [$this->room, $other->room] = [$other->room, $this->room];
    }

    public function grow(int $ticks): void
    {
        $this->height += $ticks;
    }

    public function standAt(int $x, int $y, int $turn): void
    {
        [$this->planX, $this->planY, $this->turn] = [$x, $y, $turn];
    }

    public function kind(): UnitTemplate
    {
        return UnitTemplate::tryFrom($this->template) ?? UnitTemplate::Shelf;
    }

    public function footprint(): Footprint
    {
        return Footprint::ofTicks(
            (int) $this->id,
            $this->letters,
            $this->planX ?? 0,
            $this->planY ?? 0,
            $this->turn,
            $this->width,
            $this->height,
            $this->depth,
            $this->aboveFloor,
        );
    }
}
