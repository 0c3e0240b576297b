<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\PlanKit;
use App\Kits\Kits\StartPull;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use Lottel\Core\Kit\Stage;

/** From an item or a drawer straight onto a tray: of a kit that is planned or out, or of a new one. */
final readonly class TakeOut
{
    public function __construct(private PlanKit $plan, private StartPull $start, private PullItem $pull)
    {
    }

    public function newKit(Step $step, \DateTimeImmutable $today): Kit
    {
        return ($this->plan)($step, new KitDescription('On the bench, '.$today->format('j M')));
    }

    public function now(Step $step, Kit $kit, Item $item, int $quantity): void
    {
        $this->start->open($step, $kit);
        $this->pull->oneMore($step, $kit, $item, $quantity);
        $kit->goTo(Stage::Making);
    }
}
