<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Step;
use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\Said;
use Lottel\Core\Log\Outside;

/** What came into the demo room, and what was paid for it. */
final readonly class BoughtInDemo implements DemoChapters
{
    public function __construct(private DemoTime $time, private Items $items, private TakeIn $takeIn, private KeepHomes $homes, private Prices $prices)
    {
    }

    public function chapters(Said $story): array
    {
        return $story->byDay('came_in');
    }

    public function tell(Said $chapter): void
    {
        $this->time->at($chapter->int('day'), 11 * 60);
        foreach ($chapter->named('things') as $name => $quantity) {
            $this->time->do($chapter->text('who'), function (Step $step) use ($chapter, $name, $quantity): void {
                $item = $this->items->named($name) ?? throw Said::unknown($name);
                $this->takeIn->stock($step, $item, $this->homes->homeOrHeap($item), (int) $quantity, Outside::Bought);
                $paid = $chapter->named('paid')[$name] ?? null;
                if (null !== $paid) {
                    $this->prices->paid($item, (int) $paid, (int) $quantity, $this->time->day($chapter->int('day')), $chapter->text('at', ''));
                }
            });
        }
    }
}
