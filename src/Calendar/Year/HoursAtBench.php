<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Room\Stores\Room;
use App\Room\Stores\Rooms;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\WorkingHours;

/** When somebody is at the bench: so long on each weekday, and otherwise on single days. */
final readonly class HoursAtBench
{
    public function __construct(private EntityManagerInterface $entities, private Rooms $rooms)
    {
    }

    public function areKnown(): bool
    {
        return [] !== $this->room()->weekMinutes;
    }

    public function all(): WorkingHours
    {
        $days = [];
        foreach ($this->others() as $other) {
            $days[Day::of($other->day)->number] = $other->minutes;
        }

        return new WorkingHours($this->week(), $days);
    }

    /** @return array<int, int> minutes by weekday, from 1 for Monday; nothing where nobody has said */
    public function week(): array
    {
        $minutes = $this->room()->weekMinutes;

        return 7 === \count($minutes) ? array_combine(range(1, 7), $minutes) : [];
    }

    /** @return list<OtherHours> in order of their days */
    public function others(?\DateTimeImmutable $from = null): array
    {
        $all = $this->entities->getRepository(OtherHours::class)->findBy([], ['day' => 'ASC']);

        return array_values(array_filter($all, static fn (OtherHours $one): bool => null === $from || $one->day->format('Ymd') >= $from->format('Ymd')));
    }

    /** @param list<int> $minutes of the weekdays from Monday on */
    public function put(array $minutes): void
    {
        $this->room()->setWeek($minutes);
    }

    /** @param int|null $minutes null where the day is as its weekday again */
    public function putOn(\DateTimeImmutable $day, ?int $minutes): void
    {
        $there = $this->entities->getRepository(OtherHours::class)->findOneBy(['day' => $day]);
        match (true) {
            null === $minutes => null === $there ? null : $this->entities->remove($there),
            null === $there => $this->entities->persist(new OtherHours($day, $minutes)),
            default => $there->setMinutes($minutes),
        };
    }

    private function room(): Room
    {
        return $this->rooms->all()[0];
    }
}
