<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\PlanKit;
use App\Platform\Steps\Step;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Design\Resizing;
use Lottel\Core\Design\Sides;
use Lottel\Core\Words\Counted;

/** Plans a kit from a pattern, in another number, size or colour. */
final readonly class MakeAgain
{
    public function __construct(private PlanKit $plan, private BeginDesign $begin)
    {
    }

    /**
     * @param Sides|null $finished null where it stays as large as it is
     * @param array<int, int> $papers the new item's number by the old one's
     *
     * @throws InvalidDesign if it cannot be made in that size
     */
    public function __invoke(Step $step, Pattern $pattern, string $name, int $quantity, ?Sides $finished, array $papers, int $grid): Kit
    {
        $design = $pattern->design()->with(['quantity' => $quantity])->repapered($papers);
        $design = null === $finished ? $design : Resizing::to($design, $finished, $grid);
        $kit = ($this->plan)($step, new KitDescription($name, Counted::of($quantity, $design->form->one())));
        ($this->begin)($kit, $design, $pattern);

        return $kit;
    }
}
