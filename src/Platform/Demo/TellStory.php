<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\Platform\Steps\Step;
use App\Platform\Story\BeginsDemo;
use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\EndsDemo;
use App\Platform\Story\Said;
use Lottel\Core\Year\Day;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Tells the demo room's six months: each area its own, in the order of their days. */
final class TellStory
{
    /**
     * @param iterable<DemoChapters> $areas
     * @param iterable<BeginsDemo> $beginning
     * @param iterable<EndsDemo> $ending
     */
    public function __construct(
        #[AutowireIterator(DemoChapters::class)]
        private readonly iterable $areas,
        #[AutowireIterator(BeginsDemo::class)]
        private readonly iterable $beginning,
        #[AutowireIterator(EndsDemo::class)]
        private readonly iterable $ending,
        private readonly DemoTime $time,
        private readonly DemoFiles $files,
        private readonly FurnishRoom $room,
    ) {
    }

    public function tell(): void
    {
        $this->time->during(function (): void {
            $year = $this->files->yaml('year');
            $today = Day::of($this->time->day(0));
            $this->time->at($this->files->yaml('story')->int('began'), 9 * 60);
            $this->time->do('ada', fn (Step $step) => $this->room->things($step));
            $this->time->do('ada', fn () => $this->room->companions());
            foreach ($this->beginning as $area) {
                $this->time->do('ada', static fn () => $area->before($year, $today));
            }
            foreach ($this->inOrder() as [, $chapter, $tell]) {
                $tell($chapter);
            }
            foreach ($this->ending as $area) {
                $this->time->do('ada', static fn () => $area->after($year, $today));
            }
        });
    }

    /** @return list<array{int, Said, callable(Said): void}> each chapter with its day, and who tells it */
    private function inOrder(): array
    {
        $story = $this->files->yaml('story');
        $chapters = [];
        foreach ($this->areas as $area) {
            foreach ($area->chapters($story) as [$day, $chapter]) {
                $chapters[] = [$day, $chapter, $area->tell(...)];
            }
        }
        usort($chapters, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $chapters;
    }
}
