<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kit;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** The designs of kits, and patterns. */
final readonly class Designs
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function of(Kit $kit): ?DesignOfKit
    {
        return $this->entities->getRepository(DesignOfKit::class)->findOneBy(['kit' => $kit]);
    }

    /** @throws Unknown if it has none */
    public function one(Kit $kit): DesignOfKit
    {
        return $this->of($kit) ?? throw Unknown::design($kit->name);
    }

    /**
     * @param int $seen the revision that the person has seen
     *
     * @throws StepRefused if somebody has changed it since
     * @throws Unknown if it has none
     */
    public function asSeen(Kit $kit, int $seen): DesignOfKit
    {
        $row = $this->one($kit);

        return $row->revision === $seen ? $row : throw DesignRefused::designChanged();
    }

    /** @throws Unknown if there is no such pattern */
    public function pattern(int $id): Pattern
    {
        $pattern = $this->entities->find(Pattern::class, $id);

        return null === $pattern || null !== $pattern->removedAt ? throw Unknown::pattern() : $pattern;
    }

    /** @return list<Pattern> the last ones first */
    public function patterns(): array
    {
        return $this->entities->getRepository(Pattern::class)->findBy(['removedAt' => null], ['id' => 'DESC'], 60);
    }
}
