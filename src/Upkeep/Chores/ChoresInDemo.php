<?php

declare(strict_types=1);

namespace App\Upkeep\Chores;

use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\Said;
use App\Room\Catalogue\Items;
use Doctrine\ORM\EntityManagerInterface;

/** What comes round in the demo room. */
final readonly class ChoresInDemo implements DemoChapters
{
    public function __construct(private DemoTime $time, private Items $items, private EntityManagerInterface $entities)
    {
    }

    public function part(): string
    {
        return 'chores';
    }

    public function tell(Said $chapter): void
    {
        $this->time->at($chapter->int('day'), 17 * 60);
        $this->time->do('ada', function () use ($chapter): void {
            $item = $this->items->named($chapter->text('of')) ?? throw Said::unknown($chapter->text('of'));
            $this->entities->persist(new Chore($item, $chapter->text('name'), $chapter->int('every'), $this->time->day($chapter->int('day'))));
        });
    }
}
