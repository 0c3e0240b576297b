<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Kit\RefusedStage;

/** Changes a kit's design; its pieces and its list follow. */
final readonly class ChangeDesign
{
    public function __construct(private EntityManagerInterface $entities, private Designs $designs, private KeepInStep $keepInStep, private SuitThings $suit)
    {
    }

    /**
     * @param int $seen the revision that the person has seen
     * @param callable(Design): Design $change
     *
     * @throws InvalidDesign if it cannot be so
     * @throws StepRefused if somebody has changed it since
     * @throws RefusedStage if the kit is closed
     * @throws Unknown if the kit has no design
     */
    public function __invoke(Kit $kit, int $seen, callable $change): Design
    {
        $kit->checkOpen();
        $row = $this->designs->asSeen($kit, $seen);
        $before = $row->design();
        $row->put(($this->suit)($change($before)->checked(), $before));
        $this->entities->flush();
        ($this->keepInStep)($kit, $row->design());

        return $row->design();
    }
}
