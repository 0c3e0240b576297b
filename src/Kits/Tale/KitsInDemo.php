<?php

declare(strict_types=1);

namespace App\Kits\Tale;

use App\Kits\Cutting\AskForPieces;
use App\Kits\Cutting\MakeCut;
use App\Kits\Cutting\TableReading;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Kits;
use App\Kits\Kits\Need;
use App\Kits\Kits\ParkKit;
use App\Kits\Kits\PlanKit;
use App\Kits\Kits\StartPull;
use App\Kits\Making\WorkAtBench;
use App\Kits\Rounds\BringHome;
use App\Kits\Rounds\PullItem;
use App\Kits\Rounds\PullUncatalogued;
use App\Kits\Rounds\ReturnItem;
use App\Kits\Rounds\RoundReading;
use App\Platform\Steps\Step;
use App\Platform\Story\AddsToDemoKit;
use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\Said;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\NamedInDemo;
use App\Room\Stores\Place;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** The tales of the demo room's kits, step by step, through the services that the pages use; they begin after what else happened on their day. */
#[AsTaggedItem(priority: -1)]
final class KitsInDemo implements DemoChapters
{
    /** @param iterable<AddsToDemoKit> $areas */
    public function __construct(
        #[AutowireIterator(AddsToDemoKit::class)]
        private readonly iterable $areas,
        private readonly DemoTime $time,
        private readonly NamedInDemo $named,
        private readonly PlanKit $plan,
        private readonly KitList $list,
        private readonly StartPull $start,
        private readonly PullItem $pull,
        private readonly PullUncatalogued $uncatalogued,
        private readonly WorkAtBench $bench,
        private readonly ReturnItem $return,
        private readonly KeepHomes $homes,
        private readonly RoundReading $rounds,
        private readonly BringHome $bring,
        private readonly Kits $kits,
        private readonly AskForPieces $pieces,
        private readonly TableReading $table,
        private readonly MakeCut $cut,
        private readonly ParkKit $park,
    ) {
    }

    public function chapters(Said $story): array
    {
        return array_map(
            static fn (Said $kit): array => [$kit->int('planned'), $kit],
            [...array_values($story->parts('kits')), ...$this->evenings($story)],
        );
    }

    /** @return list<Said> a kit for each evening of a habit */
    private function evenings(Said $story): array
    {
        $evenings = [];
        foreach ($story->parts('habits') as $habit) {
            for ($day = $habit->int('from'); $day <= $habit->int('until'); $day += $habit->int('every')) {
                $name = $habit->text('name').', '.$this->time->day($day)->format('j M');
                $evenings[] = $habit->with(['name' => $name, 'planned' => $day, 'pulled' => $day, 'returned' => $day, 'until' => 'closed']);
            }
        }

        return $evenings;
    }

    public function tell(Said $chapter): void
    {
        $who = $chapter->text('who');
        $until = $chapter->text('until', 'closed');
        $planned = $chapter->int('planned');
        $isOfThisMorning = \in_array($until, ['pulling', 'cutting'], true);
        $this->time->at($planned, $isOfThisMorning || $planned === $chapter->int('pulled', $planned + 1) ? 7 * 60 + 40 : 19 * 60);
        $id = $this->plan($who, $chapter);
        if ('planned' === $until) {
            return;
        }
        $this->time->at($chapter->int('pulled', $planned + 1), $isOfThisMorning ? 8 * 60 + 5 : 9 * 60 + 40);
        $this->pullRound($who, $id, $chapter);
        if ('pulling' === $until) {
            return;
        }
        if ('cutting' === $until) {
            $this->cutSome($who, $id, $chapter->int('cuts'));

            return;
        }
        $this->time->pass(90);
        $this->work($who, $id, $chapter);
        if ('making' === $until) {
            if ($chapter->has('folder')) {
                $this->time->pass(30);
                $this->time->do($who, fn (Step $step) => ($this->park)($step, $this->kits->one($id), $this->named->place($chapter->text('folder'))));
            }

            return;
        }
        $this->time->at($chapter->int('returned', -1), 16 * 60 + 10);
        $this->returnRound($who, $id, $chapter, 'returning' === $until);
    }

    private function plan(string $who, Said $chapter): int
    {
        $id = 0;
        $this->time->do($who, function (Step $step) use ($chapter, &$id): void {
            $due = $chapter->has('due') ? $this->time->day($chapter->int('due')) : null;
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
            $this->time->do($who, function () use ($id, $name, $quantity): void {
                $item = $this->named->thing($name);
                $this->list->add($this->kits->one($id), $item, self::quantity($quantity, $item->tracking));
            });
        }

        if ($chapter->has('pieces')) {
            $lines = AskedPiece::lines(implode("\n", $chapter->texts('pieces')), LengthUnit::Inch);
            $this->time->do($who, fn () => ($this->pieces)($this->kits->one($id), $lines, null));
        }

        foreach ($this->areas as $area) {
            if ($chapter->has($area->word())) {
                $this->time->do($who, static fn (Step $step) => $area->add($step, $id, $chapter));
            }
        }

        return $id;
    }

    private function cutSome(string $who, int $id, int $cuts): void
    {
        for (; $cuts > 0; --$cuts) {
            $this->time->pass(1);
            $this->time->do($who, function (Step $step) use ($id): void {
                $kit = $this->kits->one($id);
                $table = $this->table->of($kit);
                $next = $table->next() ?? throw new \LogicException('The story makes no more cuts than there are.');
                ($this->cut)($step, $kit, $table->namesOf($next), $next->setting);
            });
        }
    }

    private function pullRound(string $who, int $id, Said $chapter): void
    {
        $this->time->do($who, fn (Step $step) => ($this->start)($step, $this->kits->one($id)));
        $only = $chapter->has('taken_only') ? $chapter->texts('taken_only') : null;
        foreach ($this->rounds->ofPull($id)->stops as $stop) {
            foreach ($stop->lines as $line) {
                if (null !== $only && !\in_array($line->name, $only, true)) {
                    continue;
                }
                $this->time->pass(1);
                $this->time->do(
                    $who,
                    fn (Step $step) => $this->atStop(
                        $step,
                        $this->kits->need($id, $line->id),
                        $this->named->place($stop->at->address),
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
        $this->time->do($who, fn () => $this->kits->one($id)->goTo(Stage::Making));
        foreach ($chapter->parts('unknown') as $unknown) {
            $this->time->pass(3);
            $this->time->do($who, function (Step $step) use ($id, $unknown): void {
                $place = $this->named->place($unknown->text('1'));
                $thing = PastedThing::named($unknown->text('0'), $unknown->text('2'), $place->rule(), new QuantityText(LengthUnit::Inch));
                ($this->uncatalogued)($step, $this->kits->one($id), $thing, $place);
            });
        }
        foreach ($chapter->named('more') as $name => $quantity) {
            $this->time->pass(25);
            $this->time->do($who, fn (Step $step) => $this->pull->oneMore($step, $this->kits->one($id), $this->named->thing($name), (int) $quantity));
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
            null !== $instead => $this->pull->instead($step, $need, $this->named->thing($instead), 1),
            default => $this->pull->take($step, $need, $place, $quantity),
        };
    }

    private function work(string $who, int $id, Said $chapter): void
    {
        foreach ($chapter->named('used') as $name => $quantity) {
            $this->time->pass(6);
            $this->time->do($who, function (Step $step) use ($id, $name, $quantity): void {
                $item = $this->named->thing($name);
                $this->bench->useUp($step, $this->kits->one($id), $item, self::quantity($quantity, $item->tracking));
            });
        }
        if ($chapter->has('finished')) {
            [$name, $quantity, $home] = $chapter->texts('finished');
            $place = '' === $home ? null : $home;
            $this->time->do(
                $who,
                fn (Step $step) => $this->bench->finish(
                    $step,
                    $this->kits->one($id),
                    $name,
                    (int) $quantity,
                    null === $place ? null : $this->named->place($place),
                    [],
                ),
            );
        }
    }

    private function returnRound(string $who, int $id, Said $chapter, bool $isPartial): void
    {
        $this->time->do($who, fn () => $this->bring->begin($this->kits->one($id)));
        foreach ($this->rounds->return($id)->things() as $row) {
            $name = $row->thing->name;
            if ($isPartial && !\in_array($name, $chapter->texts('home_already'), true)) {
                continue;
            }
            $this->time->pass(1);
            $this->time->do($who, function (Step $step) use ($id, $name, $chapter): void {
                $item = $this->named->thing($name);
                $kit = $this->kits->one($id);
                \in_array($name, $chapter->texts('lost'), true)
                    ? $this->return->notHere($step, $kit, $item)
                    : $this->return->home($step, $kit, $item, $this->homes->homeOrHeap($item), $item->hazards);
            });
        }
        if (!$isPartial) {
            $this->time->do($who, fn (Step $step) => $this->return->close($step, $this->kits->one($id)));
        }
    }

    private static function quantity(string $said, Tracking $tracking): int
    {
        return (new QuantityText(LengthUnit::Inch))->parse($said, $tracking);
    }
}
