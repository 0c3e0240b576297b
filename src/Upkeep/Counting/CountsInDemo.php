<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Steps\Step;
use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\Said;
use App\Room\Catalogue\ContentsReading;
use App\Room\Stores\Places;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Upkeep\Counting\CountedLine;
use Lottel\Core\Upkeep\Counting\CountReason;
use Lottel\Core\Upkeep\Counting\CountSheet;

/** Places of the demo room were counted: all as the log says, but for what was found otherwise. */
final readonly class CountsInDemo implements DemoChapters
{
    public function __construct(private DemoTime $time, private Places $places, private ContentsReading $contents, private CountPlace $count)
    {
    }

    public function chapters(Said $story): array
    {
        return $story->byDay('counts');
    }

    public function tell(Said $chapter): void
    {
        $this->time->at($chapter->int('day'), 17 * 60 + 30);
        $this->time->do($chapter->text('who'), function (Step $step) use ($chapter): void {
            $place = $this->places->at($chapter->text('counted')) ?? throw Said::unknown($chapter->text('counted'));
            $found = $chapter->named('found');
            $lines = $reasons = [];
            foreach ($this->contents->of((int) $place->id, FilingScheme::parse($place->scheme)) as $row) {
                $lines[] = $line = new CountedLine($row->id, $row->quantity, (int) ($found[$row->thing->name] ?? $row->quantity));
                $reasons += 0 === $line->difference() ? [] : [$row->id => CountReason::from($chapter->text('why'))];
            }
            ($this->count)($step, $place, new CountSheet($lines), $reasons);
        });
    }
}
