<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Cutting\CuttingOfKit;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Step;
use App\Platform\Story\AddsToDemoKit;
use App\Platform\Story\Said;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\Share;

/** The class that the demo room gives. */
final readonly class ClassesInDemo implements AddsToDemoKit
{
    public function __construct(private Kits $kits, private PlanWorkshop $plan, private CuttingOfKit $cutting)
    {
    }

    public function word(): string
    {
        return 'class';
    }

    public function add(Step $step, int $kit, Said $chapter): void
    {
        $kit = $this->kits->one($kit);
        $said = $chapter->part('class');
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
