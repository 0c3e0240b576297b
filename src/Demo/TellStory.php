<?php

declare(strict_types=1);

namespace App\Demo;

use App\Catalogue\KeepHomes;
use App\Catalogue\TakeIn;
use App\Kits\Kit;
use App\Kits\KitDescription;
use App\Kits\KitList;
use App\Kits\KitReading;
use App\Kits\Need;
use App\Kits\PlanKit;
use App\Kits\StartPull;
use App\Making\WorkAtBench;
use App\Rounds\PullItem;
use App\Rounds\PullUncatalogued;
use App\Rounds\ReturnItem;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\WriteOnce;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Uid\Uuid;

/** Replays the demo room's two months, step by step, through the services that the pages use. */
final class TellStory
{
    private readonly \DateTimeImmutable $today;
    private MockClock $clock;

    public function __construct(
        private readonly DemoFiles $files,
        private readonly FurnishRoom $room,
        private readonly WriteOnce $once,
        private readonly EntityManagerInterface $entities,
        private readonly PlanKit $plan,
        private readonly KitList $list,
        private readonly StartPull $start,
        private readonly PullItem $pull,
        private readonly PullUncatalogued $uncatalogued,
        private readonly WorkAtBench $bench,
        private readonly ReturnItem $return,
        private readonly KeepHomes $homes,
        private readonly TakeIn $takeIn,
        private readonly KitReading $kits,
    ) {
        $this->today = new \DateTimeImmutable('today', new \DateTimeZone('UTC'));
        $this->clock = new MockClock($this->today);
    }

    public function tell(): void
    {
        $real = Clock::get();
        Clock::set($this->clock);
        try {
            $this->at(-75, 9 * 60);
            $this->do('ada', fn (Step $step) => $this->room->things($step));
            $this->do('ada', fn (Step $step) => $this->room->companions());
            foreach ($this->inOrder() as $chapter) {
                isset($chapter['things']) ? $this->comeIn($chapter) : $this->kit($chapter);
            }
        } finally {
            Clock::set($real);
        }
    }

    /** @return list<array<string, mixed>> */
    private function inOrder(): array
    {
        $story = $this->files->yaml('story');
        $chapters = [...$story['came_in'], ...$story['kits']];
        usort($chapters, static fn (array $a, array $b): int => ($a['day'] ?? $a['planned']) <=> ($b['day'] ?? $b['planned']));

        return $chapters;
    }

    /** @param array<string, mixed> $chapter */
    private function comeIn(array $chapter): void
    {
        $this->at((int) $chapter['day'], 11 * 60);
        foreach ($chapter['things'] as $name => $quantity) {
            $this->do($chapter['who'], function (Step $step) use ($name, $quantity): void {
                $item = $this->room->item((string) $name);
                $this->takeIn->stock($step, $item, $this->homes->homeOrHeap($item), (int) $quantity, Outside::Bought);
            });
        }
    }

    /** @param array<string, mixed> $chapter */
    private function kit(array $chapter): void
    {
        $who = (string) $chapter['who'];
        $until = (string) ($chapter['until'] ?? 'closed');
        $this->at((int) $chapter['planned'], 'pulling' === $until ? 7 * 60 + 40 : 19 * 60);
        $id = 0;
        $this->do($who, function (Step $step) use ($chapter, &$id): void {
            $due = isset($chapter['due']) ? ($this->today->modify(\sprintf('%+d days', $chapter['due'])) ?: null) : null;
            $kit = ($this->plan)($step, new KitDescription($chapter['name'], $chapter['makes'], $due, $chapter['for'] ?? '', $chapter['occasion'] ?? '', $chapter['note'] ?? ''));
            $id = (int) $kit->id;
        });
        foreach ($chapter['needs'] as $name => $quantity) {
            $this->do($who, function (Step $step) use ($id, $name, $quantity): void {
                $item = $this->room->item((string) $name);
                $this->list->add($this->found($id), $item, $this->quantity($quantity, $item->tracking));
            });
        }
        if ('planned' === $until) {
            return;
        }
        $this->at((int) ($chapter['pulled'] ?? $chapter['planned'] + 1), 'pulling' === $until ? 8 * 60 + 5 : 9 * 60 + 40);
        $this->pullRound($who, $id, $chapter);
        if ('pulling' === $until) {
            return;
        }
        $this->pass(90);
        $this->work($who, $id, $chapter);
        if ('making' === $until) {
            return;
        }
        $this->at((int) ($chapter['returned'] ?? -1), 16 * 60 + 10);
        $this->returnRound($who, $id, $chapter, 'returning' === $until);
    }

    /** @param array<string, mixed> $chapter */
    private function pullRound(string $who, int $id, array $chapter): void
    {
        $this->do($who, fn (Step $step) => ($this->start)($step, $this->found($id)));
        foreach ($this->kits->roundOfPull($id)->stops as $stop) {
            foreach ($stop->lines as $line) {
                if (isset($chapter['taken_only']) && !\in_array($line->name, $chapter['taken_only'], true)) {
                    continue;
                }
                $this->pass(1);
                $this->do($who, fn (Step $step) => $this->atStop($step, $this->need($line->id), $this->room->place($stop->at->address), $line->quantity, $chapter));
            }
        }
        if (isset($chapter['taken_only'])) {
            return;
        }
        $this->do($who, fn (Step $step) => $this->found($id)->goTo(Stage::Making));
        foreach ($chapter['unknown'] ?? [] as [$name, $address, $quantity]) {
            $this->pass(3);
            $this->do($who, fn (Step $step) => ($this->uncatalogued)($step, $this->found($id), PastedThing::named($name, (string) $quantity, $this->room->place($address)->rule(), new QuantityText(LengthUnit::Inch)), $this->room->place($address)));
        }
        foreach ($chapter['more'] ?? [] as $name => $quantity) {
            $this->pass(25);
            $this->do($who, fn (Step $step) => $this->pull->oneMore($step, $this->found($id), $this->room->item((string) $name), (int) $quantity));
        }
    }

    /** @param array<string, mixed> $chapter */
    private function atStop(Step $step, Need $need, Place $place, int $quantity, array $chapter): void
    {
        $name = $need->item->name;
        if (NeedState::Open !== $need->state) {
            return;
        }
        match (true) {
            \in_array($name, $chapter['not_here'] ?? [], true) => $this->pull->notHere($step, $need, $place),
            isset($chapter['fewer'][$name]) => $this->pull->fewer($step, $need, $place, (int) $chapter['fewer'][$name], true),
            isset($chapter['instead'][$name]) => $this->pull->instead($step, $need, $this->room->item($chapter['instead'][$name]), 1),
            default => $this->pull->take($step, $need, $place, $quantity),
        };
    }

    /** @param array<string, mixed> $chapter */
    private function work(string $who, int $id, array $chapter): void
    {
        foreach ($chapter['used'] ?? [] as $name => $quantity) {
            $this->pass(6);
            $this->do($who, function (Step $step) use ($id, $name, $quantity): void {
                $item = $this->room->item((string) $name);
                $this->bench->useUp($step, $this->found($id), $item, $this->quantity($quantity, $item->tracking));
            });
        }
        if (isset($chapter['finished'])) {
            [$name, $quantity, $home] = $chapter['finished'];
            $this->do($who, fn (Step $step) => $this->bench->finish($step, $this->found($id), $name, $quantity, '' === $home ? null : $this->room->place($home), []));
        }
    }

    /** @param array<string, mixed> $chapter */
    private function returnRound(string $who, int $id, array $chapter, bool $isPartial): void
    {
        $this->do($who, fn (Step $step) => $this->found($id)->goTo(Stage::Returning));
        $round = $this->kits->returnRound($id);
        foreach ($round->things() as $thing) {
            if ($isPartial && !\in_array($thing->name, $chapter['home_already'], true)) {
                continue;
            }
            $this->pass(1);
            $this->do($who, function (Step $step) use ($id, $thing, $chapter): void {
                $item = $this->room->item($thing->name);
                if (\in_array($item->name, $chapter['lost'] ?? [], true)) {
                    $this->return->notHere($step, $this->found($id), $item);
                } else {
                    $this->return->home($step, $this->found($id), $item, $this->homes->homeOrHeap($item), $item->hazards);
                }
            });
        }
        if (!$isPartial) {
            $this->do($who, fn (Step $step) => $this->return->close($step, $this->found($id)));
        }
    }

    /** @param callable(Step): mixed $work */
    private function do(string $login, callable $work): void
    {
        $who = $this->room->person($login);
        $this->once->do((string) Uuid::v7(), $who, static function (Step $step) use ($work): Outcome {
            $work($step);

            return Outcome::undoable('', '');
        });
        $this->entities->clear();
    }

    private function quantity(int|string $said, Tracking $tracking): int
    {
        return (new QuantityText(LengthUnit::Inch))->parse((string) $said, $tracking);
    }

    private function found(int $kit): Kit
    {
        return $this->entities->find(Kit::class, $kit) ?? throw new \LogicException('The kit is gone.');
    }

    private function need(int $id): Need
    {
        return $this->entities->find(Need::class, $id) ?? throw new \LogicException('The line is gone.');
    }

    private function at(int $day, int $minute): void
    {
        $this->clock->modify($this->today->modify(\sprintf('%+d days', $day))->modify(\sprintf('+%d minutes', $minute))->format('Y-m-d H:i:s'));
    }

    private function pass(int $minutes): void
    {
        $this->clock->sleep(60 * $minutes);
    }
}
