<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\Kits\Cutting\AskForPieces;
use App\Kits\Cutting\MakeCut;
use App\Kits\Cutting\TableReading;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Kits;
use App\Kits\Kits\Need;
use App\Kits\Kits\PlanKit;
use App\Kits\Kits\StartPull;
use App\Kits\Making\WorkAtBench;
use App\Kits\Rounds\BringHome;
use App\Kits\Rounds\PullItem;
use App\Kits\Rounds\PullUncatalogued;
use App\Kits\Rounds\ReturnItem;
use App\Kits\Rounds\RoundReading;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\WriteOnce;
use App\Room\Catalogue\ContentsReading;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\Prices;
use App\Room\Catalogue\TakeIn;
use App\Room\Stores\Place;
use App\Upkeep\Counting\CountPlace;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Upkeep\Counting\CountedLine;
use Lottel\Core\Upkeep\Counting\CountReason;
use Lottel\Core\Upkeep\Counting\CountSheet;
use Lottel\Core\Year\Day;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Uid\Uuid;

/** Replays the demo room's six months, step by step, through the services that the pages use. */
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
        private readonly RoundReading $rounds,
        private readonly BringHome $bring,
        private readonly Kits $kits,
        private readonly AskForPieces $pieces,
        private readonly TableReading $table,
        private readonly MakeCut $cut,
        private readonly DrawDesigns $draw,
        private readonly FillYear $year,
        private readonly LendAndTeach $lend,
        private readonly ContentsReading $contents,
        private readonly CountPlace $count,
        private readonly Prices $prices,
    ) {
        $this->today = new \DateTimeImmutable('today', new \DateTimeZone('UTC'));
        $this->clock = new MockClock($this->today);
    }

    public function tell(): void
    {
        $real = Clock::get();
        Clock::set($this->clock);
        try {
            $this->at($this->files->yaml('story')->int('began'), 9 * 60);
            $this->do('ada', fn (Step $step) => $this->room->things($step));
            $this->do('ada', fn (Step $step) => $this->room->companions());
            $this->do('ada', fn () => $this->year->dates(Day::of($this->today)));
            foreach ($this->inOrder() as $chapter) {
                match (true) {
                    $chapter->has('things') => $this->comeIn($chapter),
                    $chapter->has('what') => $this->loan($chapter),
                    $chapter->has('gave') => $this->gave($chapter),
                    $chapter->has('counted') => $this->counted($chapter),
                    default => $this->kit($chapter),
                };
            }
            $this->do('ada', fn () => $this->year->kits());
            $this->do('ada', fn () => $this->year->shelf(Day::of($this->today)));
        } finally {
            Clock::set($real);
        }
    }

    /** @return list<Said> */
    private function inOrder(): array
    {
        $story = $this->files->yaml('story');
        $parts = ['came_in', 'kits', 'loans', 'gave', 'counts'];
        $chapters = array_merge(...array_map(static fn (string $part): array => array_values($story->parts($part)), $parts));
        $chapters = [...$chapters, ...$this->evenings($story)];
        $day = static fn (Said $chapter): int => $chapter->int($chapter->has('day') ? 'day' : 'planned');
        usort($chapters, static fn (Said $a, Said $b): int => $day($a) <=> $day($b));

        return $chapters;
    }

    /** @return list<Said> a kit for each evening of a habit */
    private function evenings(Said $story): array
    {
        $evenings = [];
        foreach ($story->parts('habits') as $habit) {
            for ($day = $habit->int('from'); $day <= $habit->int('until'); $day += $habit->int('every')) {
                $name = $habit->text('name').', '.$this->day($day)->format('j M');
                $evenings[] = $habit->with(['name' => $name, 'planned' => $day, 'pulled' => $day, 'returned' => $day, 'until' => 'closed']);
            }
        }

        return $evenings;
    }

    private function comeIn(Said $chapter): void
    {
        $this->at($chapter->int('day'), 11 * 60);
        foreach ($chapter->named('things') as $name => $quantity) {
            $this->do($chapter->text('who'), function (Step $step) use ($chapter, $name, $quantity): void {
                $item = $this->room->item($name);
                $this->takeIn->stock($step, $item, $this->homes->homeOrHeap($item), (int) $quantity, Outside::Bought);
                $paid = $chapter->named('paid')[$name] ?? null;
                if (null !== $paid) {
                    $this->prices->paid($item, (int) $paid, (int) $quantity, $this->day($chapter->int('day')), $chapter->text('at', ''));
                }
            });
        }
    }

    private function gave(Said $chapter): void
    {
        $this->at($chapter->int('day'), 12 * 60);
        $this->do('ada', fn (Step $step) => $this->year->gave($step, $chapter, Day::of($this->day($chapter->int('day')))));
    }

    /** A place was counted: all as the log says, but for what was found otherwise. */
    private function counted(Said $chapter): void
    {
        $this->at($chapter->int('day'), 17 * 60 + 30);
        $this->do($chapter->text('who'), function (Step $step) use ($chapter): void {
            $place = $this->room->place($chapter->text('counted'));
            $found = $chapter->named('found');
            $lines = $reasons = [];
            foreach ($this->contents->of((int) $place->id, FilingScheme::parse($place->scheme)) as $row) {
                $lines[] = $line = new CountedLine($row->id, $row->quantity, (int) ($found[$row->thing->name] ?? $row->quantity));
                $reasons += 0 === $line->difference() ? [] : [$row->id => CountReason::from($chapter->text('why'))];
            }
            ($this->count)($step, $place, new CountSheet($lines), $reasons);
        });
    }

    private function loan(Said $chapter): void
    {
        $this->at($chapter->int('day'), 18 * 60);
        $this->do('ada', fn (Step $step) => $this->lend->loan($step, $chapter, $this->day($chapter->int('until'))));
    }

    private function kit(Said $chapter): void
    {
        $who = $chapter->text('who');
        $until = $chapter->text('until', 'closed');
        $planned = $chapter->int('planned');
        $isOfThisMorning = \in_array($until, ['pulling', 'cutting'], true);
        $this->at($planned, $isOfThisMorning || $planned === $chapter->int('pulled', $planned + 1) ? 7 * 60 + 40 : 19 * 60);
        $id = $this->plan($who, $chapter);
        if ($chapter->has('class')) {
            $this->do($who, fn () => $this->lend->teach($this->kits->one($id), $chapter->part('class')));
        }
        if ('planned' === $until) {
            return;
        }
        $this->at($chapter->int('pulled', $planned + 1), $isOfThisMorning ? 8 * 60 + 5 : 9 * 60 + 40);
        $this->pullRound($who, $id, $chapter);
        if ('pulling' === $until) {
            return;
        }
        if ('cutting' === $until) {
            $this->cutSome($who, $id, $chapter->int('cuts'));

            return;
        }
        $this->pass(90);
        $this->work($who, $id, $chapter);
        if ('making' === $until) {
            if ($chapter->has('folder')) {
                $this->pass(30);
                $this->do($who, fn (Step $step) => $this->lend->park($step, $this->kits->one($id), $chapter->text('folder')));
            }

            return;
        }
        $this->at($chapter->int('returned', -1), 16 * 60 + 10);
        $this->returnRound($who, $id, $chapter, 'returning' === $until);
    }

    private function plan(string $who, Said $chapter): int
    {
        $id = 0;
        $this->do($who, function (Step $step) use ($chapter, &$id): void {
            $due = $chapter->has('due') ? $this->day($chapter->int('due')) : null;
            $id = (int) ($this->plan)($step, new KitDescription(
                $chapter->text('name'),
                $chapter->text('makes'),
                $due,
                $chapter->text('for', ''),
                $chapter->text('occasion', ''),
                $chapter->text('note', ''),
            ))->id;
        });
        foreach ($chapter->named('needs') as $name => $quantity) {
            $this->do($who, function () use ($id, $name, $quantity): void {
                $item = $this->room->item($name);
                $this->list->add($this->kits->one($id), $item, self::quantity($quantity, $item->tracking));
            });
        }

        if ($chapter->has('pieces')) {
            $lines = AskedPiece::lines(implode("\n", $chapter->texts('pieces')), LengthUnit::Inch);
            $this->do($who, fn () => ($this->pieces)($this->kits->one($id), $lines, null));
        }

        if ($chapter->has('design')) {
            $this->do($who, fn (Step $step) => ($this->draw)($step, $this->kits->one($id), $chapter));
        }

        return $id;
    }

    private function cutSome(string $who, int $id, int $cuts): void
    {
        for (; $cuts > 0; --$cuts) {
            $this->pass(1);
            $this->do($who, function (Step $step) use ($id): void {
                $kit = $this->kits->one($id);
                $table = $this->table->of($kit);
                $next = $table->next() ?? throw new \LogicException('The story makes no more cuts than there are.');
                ($this->cut)($step, $kit, $table->namesOf($next), $next->setting);
            });
        }
    }

    private function pullRound(string $who, int $id, Said $chapter): void
    {
        $this->do($who, fn (Step $step) => ($this->start)($step, $this->kits->one($id)));
        $only = $chapter->has('taken_only') ? $chapter->texts('taken_only') : null;
        foreach ($this->rounds->ofPull($id)->stops as $stop) {
            foreach ($stop->lines as $line) {
                if (null !== $only && !\in_array($line->name, $only, true)) {
                    continue;
                }
                $this->pass(1);
                $this->do(
                    $who,
                    fn (Step $step) => $this->atStop(
                        $step,
                        $this->kits->need($id, $line->id),
                        $this->room->place($stop->at->address),
                        $line->quantity,
                        $chapter,
                    ),
                );
            }
        }
        if (null === $only) {
            $this->endPull($who, $id, $chapter);
        }
    }

    private function endPull(string $who, int $id, Said $chapter): void
    {
        $this->do($who, fn () => $this->kits->one($id)->goTo(Stage::Making));
        foreach ($chapter->parts('unknown') as $unknown) {
            $this->pass(3);
            $this->do($who, function (Step $step) use ($id, $unknown): void {
                $place = $this->room->place($unknown->text('1'));
                $thing = PastedThing::named($unknown->text('0'), $unknown->text('2'), $place->rule(), new QuantityText(LengthUnit::Inch));
                ($this->uncatalogued)($step, $this->kits->one($id), $thing, $place);
            });
        }
        foreach ($chapter->named('more') as $name => $quantity) {
            $this->pass(25);
            $this->do($who, fn (Step $step) => $this->pull->oneMore($step, $this->kits->one($id), $this->room->item($name), (int) $quantity));
        }
    }

    private function atStop(Step $step, Need $need, Place $place, int $quantity, Said $chapter): void
    {
        $name = $need->item->name;
        if (NeedState::Open !== $need->state()) {
            return;
        }
        $fewer = $chapter->named('fewer')[$name] ?? null;
        $instead = $chapter->named('instead')[$name] ?? null;
        match (true) {
            \in_array($name, $chapter->texts('not_here'), true) => $this->pull->notHere($step, $need, $place),
            null !== $fewer => $this->pull->fewer($step, $need, $place, (int) $fewer, true),
            null !== $instead => $this->pull->instead($step, $need, $this->room->item($instead), 1),
            default => $this->pull->take($step, $need, $place, $quantity),
        };
    }

    private function work(string $who, int $id, Said $chapter): void
    {
        foreach ($chapter->named('used') as $name => $quantity) {
            $this->pass(6);
            $this->do($who, function (Step $step) use ($id, $name, $quantity): void {
                $item = $this->room->item($name);
                $this->bench->useUp($step, $this->kits->one($id), $item, self::quantity($quantity, $item->tracking));
            });
        }
        if ($chapter->has('finished')) {
            [$name, $quantity, $home] = $chapter->texts('finished');
            $place = '' === $home ? null : $home;
            $this->do(
                $who,
                fn (Step $step) => $this->bench->finish(
                    $step,
                    $this->kits->one($id),
                    $name,
                    (int) $quantity,
                    null === $place ? null : $this->room->place($place),
                    [],
                ),
            );
        }
    }

    private function returnRound(string $who, int $id, Said $chapter, bool $isPartial): void
    {
        $this->do($who, fn () => $this->bring->begin($this->kits->one($id)));
        foreach ($this->rounds->return($id)->things() as $row) {
            $name = $row->thing->name;
            if ($isPartial && !\in_array($name, $chapter->texts('home_already'), true)) {
                continue;
            }
            $this->pass(1);
            $this->do($who, function (Step $step) use ($id, $name, $chapter): void {
                $item = $this->room->item($name);
                $kit = $this->kits->one($id);
                \in_array($name, $chapter->texts('lost'), true)
                    ? $this->return->notHere($step, $kit, $item)
                    : $this->return->home($step, $kit, $item, $this->homes->homeOrHeap($item), $item->hazards);
            });
        }
        if (!$isPartial) {
            $this->do($who, fn (Step $step) => $this->return->close($step, $this->kits->one($id)));
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

    private static function quantity(string $said, Tracking $tracking): int
    {
        return (new QuantityText(LengthUnit::Inch))->parse($said, $tracking);
    }

    private function day(int $day): \DateTimeImmutable
    {
        return $this->today->add(\DateInterval::createFromDateString(\sprintf('%+d days', $day)) ?: throw new \LogicException('A day is a day.'));
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
