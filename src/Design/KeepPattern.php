<?php

declare(strict_types=1);

namespace App\Design;

use App\Kits\Kit;
use App\Steps\Step;
use App\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** Keeps a kit's design to be made again. */
final readonly class KeepPattern
{
    public function __construct(private EntityManagerInterface $entities, private Designs $designs)
    {
    }

    /** @throws Unknown if the kit has no design */
    public function __invoke(Step $step, Kit $kit, string $name): Pattern
    {
        $row = $this->designs->one($kit);
        $pattern = new Pattern($name, $row->design(), $step->at);
        $this->entities->persist($pattern);
        $row->pattern = $pattern;

        return $pattern;
    }

    /** @throws Unknown if the kit has no design, or it was not made from a pattern that is kept */
    public function takeBack(Kit $kit): Pattern
    {
        $row = $this->designs->one($kit);
        $pattern = $row->pattern;
        if (null === $pattern || null !== $pattern->removedAt) {
            throw Unknown::pattern();
        }
        $pattern->put($row->design());

        return $pattern;
    }
}
