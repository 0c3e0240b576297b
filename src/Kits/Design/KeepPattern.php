<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** Keeps a kit's design to be made again. */
final readonly class KeepPattern
{
    public function __construct(private EntityManagerInterface $entities, private Designs $designs)
    {
    }

    /**
     * @param int $seen the revision that the person has seen
     *
     * @throws StepRefused if somebody has changed it since
     * @throws Unknown if the kit has no design
     */
    public function __invoke(Step $step, Kit $kit, int $seen, string $name): Pattern
    {
        $row = $this->designs->asSeen($kit, $seen);
        $pattern = new Pattern($name, $row->design(), $step->at);
        $this->entities->persist($pattern);
        $row->keepAs($pattern);

        return $pattern;
    }

    /**
     * @param int $seen the revision that the person has seen
     *
     * @throws StepRefused if somebody has changed it since
     * @throws Unknown if the kit has no design, or it was not made from a pattern that is kept
     */
    public function takeBack(Kit $kit, int $seen): Pattern
    {
        $row = $this->designs->asSeen($kit, $seen);
        $pattern = $row->pattern;
        if (null === $pattern || null !== $pattern->removedAt) {
            throw Unknown::pattern();
        }
        $pattern->put($row->design());

        return $pattern;
    }
}
