<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\Calendar\Lending\BorrowThing;
use App\Calendar\Lending\LendThing;
use App\Calendar\Year\Contacts;
use App\Kits\Cutting\CuttingOfKit;
use App\Kits\Kits\Kit;
use App\Kits\Kits\ParkKit;
use App\Kits\Workshop\PlanWorkshop;
use App\Kits\Workshop\WorkshopDescription;
use App\Platform\Steps\Step;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\Share;

/** What the demo room has lent and borrowed, the kit that waits in a folder, and its class. */
final readonly class LendAndTeach
{
    public function __construct(
        private LendThing $lend,
        private BorrowThing $borrow,
        private Contacts $contacts,
        private FurnishRoom $room,
        private ParkKit $park,
        private PlanWorkshop $plan,
        private CuttingOfKit $cutting,
    ) {
    }

    public function loan(Step $step, Said $said, ?\DateTimeImmutable $until): void
    {
        if ($said->has('to')) {
            $item = $this->room->item($said->text('what'));
            ($this->lend)($step, $item, 1, $this->contacts->named($said->text('to')), $until, $said->text('note', ''));

            return;
        }
        $rule = new PlaceRule(Kind::from($said->text('kind')));
        [$thing] = PastedThing::lines($said->text('what'), $rule, new QuantityText(LengthUnit::Inch));
        ($this->borrow)($step, $thing, $this->room->place($said->text('in')), $this->contacts->named($said->text('from')), $until);
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
