<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Design\ChangeDesign;
use App\Kits\Design\Designs;
use App\Kits\Kits\Kit;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignThing;
use Lottel\Core\Design\ThingRole;

/** Lets a kit's design say what the bench has found to be right. */
final readonly class TakeIntoDesign
{
    public function __construct(private Designs $designs, private ChangeDesign $change)
    {
    }

    /**
     * @param list<UsedOtherwise> $otherwise
     *
     * @return int how many things it says anew
     *
     * @throws StepRefused if nothing was used otherwise
     * @throws Unknown if the kit has no design
     */
    public function __invoke(Kit $kit, array $otherwise): int
    {
        if ([] === $otherwise) {
            throw MakingRefused::nothingIsOtherwise();
        }
        ($this->change)($kit, $this->designs->one($kit)->revision, static function (Design $design) use ($otherwise): Design {
            foreach ($otherwise as $one) {
                $design = $design->taking(new DesignThing($one->item, $design->thing($one->item)->role ?? ThingRole::Beside, $one->each));
            }

            return $design;
        });

        return \count($otherwise);
    }
}
