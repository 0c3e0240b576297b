<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** The pieces of a kit, and the sheets that they are cut from. */
final readonly class CuttingOfKit
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return array<int, PieceToCut> by number, as they were asked for */
    public function pieces(Kit $kit): array
    {
        return self::numbered($this->entities->getRepository(PieceToCut::class)->findBy(['kit' => $kit], ['id' => 'ASC']));
    }

    /** @return array<int, SheetOnTable> by number, those that are logged too */
    public function sheets(Kit $kit): array
    {
        return self::numbered($this->entities->getRepository(SheetOnTable::class)->findBy(['kit' => $kit], ['id' => 'ASC']));
    }

    public function plan(Kit $kit): CutPlanOfKit
    {
        $plan = $this->entities->getRepository(CutPlanOfKit::class)->findOneBy(['kit' => $kit]);
        if (null === $plan) {
            $plan = new CutPlanOfKit($kit);
            $this->entities->persist($plan);
            $this->entities->flush();
        }

        return $plan;
    }

    /** How many of a piece are cut, or lie on a sheet into which a cut is made. */
    public function begun(PieceToCut $piece): int
    {
        return null === $piece->id ? 0 : array_sum(array_map(
            static fn (SheetOnTable $row): int => $row->isLogged || $row->sheet()->isBegun() ? $row->sheet()->root->pieces()[$piece->id] ?? 0 : 0,
            $this->sheets($piece->kit),
        ));
    }

    /** @throws Unknown if it is no piece of this kit */
    public function piece(int $kit, int $id): PieceToCut
    {
        $piece = $this->entities->find(PieceToCut::class, $id);

        return null !== $piece && $piece->kit->id === $kit ? $piece : throw Unknown::line($id);
    }

    /**
     * @template T of PieceToCut|SheetOnTable
     *
     * @param array<T> $rows
     *
     * @return array<int, T>
     */
    private static function numbered(array $rows): array
    {
        $numbered = [];
        foreach ($rows as $row) {
            $numbered[(int) $row->id] = $row;
        }

        return $numbered;
    }
}
