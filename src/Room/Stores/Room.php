<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Room\RoomLayout;

#[ORM\Entity]
class Room
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** @var array<string, mixed> what RoomLayout keeps */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $plan = [];

    /** @var list<int> how many minutes are worked on each weekday from Monday on; empty where nobody has said */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $weekMinutes = [];

    #[ORM\Embedded(columnPrefix: false)]
    public TrimmerColumns $trimmer;

    public function __construct(
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 2)]
        public LengthUnit $measure,
        #[ORM\Column(length: 64)]
        public string $timeZone,
    ) {
        $this->trimmer = TrimmerColumns::usualIn($measure);
    }

    public function measureIn(LengthUnit $measure, string $timeZone): void
    {
        $this->trimmer->measureIn($this->measure, $measure);
        [$this->measure, $this->timeZone] = [$measure, $timeZone];
    }

    public function rename(string $name): void
    {
        $this->name = $name;
    }

    public function arrange(RoomLayout $layout): void
    {
        $this->plan = $layout->toArray();
    }

    /** @param list<int> $minutes of the weekdays from Monday on */
    public function setWeek(array $minutes): void
    {
        $this->weekMinutes = $minutes;
    }

    public function layout(): RoomLayout
    {
        return RoomLayout::fromArray($this->plan);
    }
}
