<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;

/** The check round over the bags of a class: one is full, or was not after all. */
final readonly class PackBag
{
    /** @throws StepRefused if there is no such bag, or somebody has packed it in the meantime */
    public function packed(Step $step, Workshop $workshop, int $number): void
    {
        $this->check($workshop, $number);
        if ($workshop->isPacked($number)) {
            throw WorkshopRefused::bagIsPacked($number);
        }
        new PackedBag($workshop, $number, $step->at);
    }

    /** @throws StepRefused if there is no such bag, or it is not packed */
    public function unpacked(Workshop $workshop, int $number): void
    {
        $this->check($workshop, $number);
        $bag = $workshop->bag($number) ?? throw WorkshopRefused::bagIsNotPacked($number);
        $workshop->bags->removeElement($bag);
    }

    private function check(Workshop $workshop, int $number): void
    {
        if (!$workshop->kit->hasTray()) {
            throw WorkshopRefused::nothingToPack($workshop->kit->name);
        }
        $sets = $workshop->headcount()->sets();
        if ($number < 1 || $number > $sets) {
            throw WorkshopRefused::noSuchBag($number, $sets);
        }
    }
}
