<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Design\Designs;
use App\Kits\Design\StepDone;
use App\Kits\Kits\Kit;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Measures;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Design\MakingStep;
use Lottel\Core\Design\MakingSteps;

/** A step of making is done for some of a kit's cards. */
final readonly class DoStep
{
    public function __construct(private EntityManagerInterface $entities, private Designs $designs, private Measures $measures)
    {
    }

    /**
     * @param int $done for so many of them altogether
     *
     * @throws StepRefused if the design has no such step, or makes fewer
     * @throws Unknown if the kit has no design
     */
    public function __invoke(Kit $kit, string $key, int $done): MakingStep
    {
        $design = $this->designs->one($kit)->design();
        $steps = (new MakingSteps($this->measures->lengths()))->of($design);
        $step = array_values(array_filter($steps, static fn (MakingStep $step): bool => $step->key === $key))[0] ?? throw MakingRefused::stepIsGone();
        if ($done > $design->quantity) {
            throw MakingRefused::stepIsGone();
        }
        $kit->trayInUse();
        $kit->beginMaking();
        $row = $this->entities->getRepository(StepDone::class)->findOneBy(['kit' => $kit, 'step' => $key]);
        if (null === $row) {
            $row = new StepDone($kit, $key, 0);
            $this->entities->persist($row);
        }
        $row->count($done);

        return $step;
    }
}
