<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\PlanKit;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Words\Counted;
use Lottel\Core\Year\Day;

/** Plans a kit for one of the dates of an occasion; it is due when what the date wants must be done. */
final readonly class PlanForOccasion
{
    public function __construct(private PlanKit $plan, private EntityManagerInterface $entities)
    {
    }

    /** @throws StepRefused if a kit is planned for that date, or the occasion is not kept on it */
    public function __invoke(Step $step, Occasion $occasion, Day $day): Kit
    {
        $occasion->checkIsOn($day);
        foreach ($this->entities->getRepository(KitForOccasion::class)->findBy(['occasion' => $occasion, 'day' => $day->date()]) as $for) {
            if (null === $for->kit->removedAt) {
                throw YearRefused::occasionHasKit($occasion->name, $for->kit->name);
            }
        }
        $pieces = max(1, $occasion->pieces);
        $wants = $occasion->wanted();
        $kit = ($this->plan)($step, new KitDescription(
            $occasion->name,
            Counted::of($pieces, trim($wants.' card')),
            $day->plus(-$occasion->daysAhead)->date(),
            $occasion->contact->name ?? '',
            $wants,
        ));
        $this->entities->persist(new KitForOccasion($kit, $occasion, $day->date()));

        return $kit;
    }
}
