<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Room\Stores\Unit;
use Doctrine\ORM\EntityManagerInterface;

/** Two pieces of furniture have changed places: each stands where the other stood, on the floor plan and at its wall. */
final readonly class ChangeStanding
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws MovingRefused if one of them stands nowhere, or it is one and the same */
    public function __invoke(Unit $one, Unit $other): void
    {
        if ($one === $other) {
            throw MovingRefused::isOneUnit();
        }
        foreach ([$one, $other] as $unit) {
            if (null === $unit->planX || null === $unit->planY) {
                throw MovingRefused::standsNowhere($unit->letters);
            }
        }
        $one->changePlacesWith($other);
        $this->entities->flush();
    }
}
