<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use App\Platform\Steps\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Kit\RefusedStage;

/** Gives a kit a design, from which its pieces and its list follow. */
final readonly class BeginDesign
{
    public function __construct(private EntityManagerInterface $entities, private Designs $designs, private KeepInStep $keepInStep, private SuitThings $suit)
    {
    }

    /**
     * @throws InvalidDesign if it cannot be
     * @throws StepRefused if the kit has a design already
     * @throws RefusedStage if the kit is closed
     */
    public function __invoke(Kit $kit, Design $design, ?Pattern $pattern = null): DesignOfKit
    {
        $kit->checkOpen();
        if (null !== $this->designs->of($kit)) {
            throw DesignRefused::hasADesign($kit->name);
        }
        $row = new DesignOfKit($kit, ($this->suit)($design->checked(), null), $pattern);
        $this->entities->persist($row);
        $this->entities->flush();
        ($this->keepInStep)($kit, $row->design());

        return $row;
    }
}
