<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Room\Stores\Place;
use Lottel\Core\Kit\Stage;

/** The return of what is on a tray: begun, and done for some of its things at once. */
final readonly class BringHome
{
    public function __construct(private ReturnItem $return, private KeepHomes $homes, private HalfCut $halfCut)
    {
    }

    /** @throws StepRefused if a sheet of it is half cut, of which the log still knows the whole */
    public function begin(Kit $kit): void
    {
        $this->halfCut->check($kit);
        $kit->goTo(Stage::Returning);
    }

    /**
     * Brings things to their homes, or all of them to one place; what has no home gets it there, where $mayFile.
     *
     * @param list<Item> $items
     * @param list<string> $cared the hazards whose care was ticked
     */
    public function __invoke(Step $step, Kit $kit, array $items, ?Place $there, array $cared, bool $mayFile): void
    {
        foreach ($items as $item) {
            $to = $there ?? $this->homes->homeOrHeap($item);
            if (null !== $there && null === $item->home && $mayFile) {
                $this->homes->giveHome($step, $item, $there);
            }
            $this->return->home($step, $kit, $item, $to, $cared);
        }
    }

    /**
     * Brings a part of a thing home; the rest stays on the tray.
     *
     * @param list<string> $cared the hazards whose care was ticked
     */
    public function part(Step $step, Kit $kit, Item $item, int $quantity, array $cared): void
    {
        $this->return->home($step, $kit, $item, $this->homes->homeOrHeap($item), $cared, $quantity);
    }

    /**
     * A thing lives elsewhere from now on, and goes there.
     *
     * @param list<string> $cared the hazards whose care was ticked
     */
    public function elsewhere(Step $step, Kit $kit, Item $item, Place $home, array $cared): void
    {
        $this->homes->giveHome($step, $item, $home);
        $this->return->home($step, $kit, $item, $home, $cared);
    }
}
