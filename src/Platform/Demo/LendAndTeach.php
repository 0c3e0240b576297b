<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\Kits\Cutting\CuttingOfKit;
use App\Kits\Kits\Kit;
use App\Kits\Kits\ParkKit;
use App\Kits\Workshop\PlanWorkshop;
use App\Kits\Workshop\WorkshopDescription;
use App\Platform\Steps\Step;
use App\Platform\Story\Said;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\Share;

/** The demo room's kit that waits in a folder, and its class. */
final readonly class LendAndTeach
{
    public function __construct(
        private FurnishRoom $room,
        private ParkKit $park,
        private PlanWorkshop $plan,
        private CuttingOfKit $cutting,
    ) {
    }

    public function park(Step $step, Kit $kit, string $home): void
    {
        ($this->park)($step, $kit, $this->room->place($home));
    }

    public function teach(Kit $kit, Said $said): void
    {
        $class = ($this->plan)($kit, new WorkshopDescription(
            new Headcount($said->int('persons'), $said->int('spares', 0)),
            1,
            implode("\n", $said->texts('bring')),
            '',
            implode("\n", $said->texts('also')),
        ));
        $needs = $pieces = [];
        foreach ($kit->needs as $need) {
            $share = $said->part('shares')->ints($need->item->name);
            if ([] !== $share) {
                $needs[(int) $need->id] = new Share(...$share);
            }
        }
        foreach ($this->cutting->pieces($kit) as $id => $piece) {
            $pieces[$id] = new Share(...$said->part('cut')->ints($piece->name));
        }
        $this->plan->dealOut($class, $needs, $pieces);
    }
}
