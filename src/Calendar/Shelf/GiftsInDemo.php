<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Contacts;
use App\Platform\Steps\Step;
use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\Said;
use App\Room\Catalogue\Items;
use Lottel\Core\Year\Day;

/** What of the demo room was given, sent and sold. */
final readonly class GiftsInDemo implements DemoChapters
{
    public function __construct(private DemoTime $time, private GivePiece $give, private Contacts $contacts, private Items $items)
    {
    }

    public function chapters(Said $story): array
    {
        return $story->byDay('gave');
    }

    public function tell(Said $chapter): void
    {
        $this->time->at($chapter->int('day'), 12 * 60);
        $this->time->do('ada', fn (Step $step) => ($this->give)(
            $step,
            $this->items->named($chapter->text('gave')) ?? throw Said::unknown($chapter->text('gave')),
            $chapter->int('quantity', 1),
            GiftWay::from($chapter->text('way')),
            $this->contacts->named($chapter->text('to')),
            Day::of($this->time->day($chapter->int('day'))),
            $chapter->has('cents') ? $chapter->int('cents') : null,
        ));
    }
}
