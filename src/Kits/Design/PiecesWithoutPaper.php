<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\PieceToCut;
use App\Kits\Cutting\SheetOnTable;
use App\Kits\Kits\PapersToChoose;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Design\DesignPiece;

/** Pieces of a design that nobody has chosen a paper for, and pieces that do not come out of what is there. */
final readonly class PiecesWithoutPaper implements PapersToChoose
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function without(array $kits): array
    {
        $names = [];
        foreach ($this->entities->getRepository(DesignOfKit::class)->findBy(['kit' => $kits]) as $row) {
            $open = array_filter($row->design()->pieces(), static fn (DesignPiece $piece): bool => null === $piece->paper);
            $names[(int) $row->kit->id] = array_map(static fn (DesignPiece $piece): string => $piece->name, array_values($open));
        }
        $planned = [];
        foreach ($this->entities->getRepository(SheetOnTable::class)->findBy(['kit' => $kits]) as $sheet) {
            foreach ($sheet->sheet()->root->pieces() as $piece => $many) {
                $planned[$piece] = ($planned[$piece] ?? 0) + $many;
            }
        }
        foreach ($this->entities->getRepository(PieceToCut::class)->findBy(['kit' => $kits]) as $piece) {
            if ($piece->quantity > ($planned[(int) $piece->id] ?? 0)) {
                $names[(int) $piece->kit->id][] = $piece->name;
            }
        }

        return array_map(static fn (array $some): array => array_values(array_unique($some)), array_filter($names));
    }
}
