<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Cutting\CuttingOfKit;
use App\Kits\Cutting\PieceToCut;
use App\Kits\Kits\KitReading;
use App\Kits\Kits\NeedRow;
use App\Platform\Database\Row;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Workshop\Share;
use Lottel\Core\Workshop\SharedThing;

/** What each one of a class gets: from what was said, and from the kit's design. */
final readonly class WorkshopReading
{
    public function __construct(private KitReading $kits, private CuttingOfKit $cutting, private Connection $database)
    {
    }

    public function of(Workshop $workshop): WorkshopPage
    {
        $said = $this->said($workshop);
        $needs = array_values(array_filter(
            $this->kits->needs((int) $workshop->kit->id),
            static fn (NeedRow $need): bool => !$need->isGone() && ($need->toCut < $need->quantity || isset($said['need-'.$need->id])),
        ));
        $grams = $this->grams($needs);
        $rows = array_map(fn (NeedRow $need): WorkshopRow => $this->needed($workshop, $need, $said, $grams[$need->thing->id] ?? null), $needs);
        foreach ($this->cutting->pieces($workshop->kit) as $piece) {
            $rows[] = $this->cut($workshop, $piece, $said);
        }

        return new WorkshopPage($workshop, $rows);
    }

    /** @param array<string, Share> $said */
    private function needed(Workshop $workshop, NeedRow $need, array $said, ?int $grams): WorkshopRow
    {
        $key = 'need-'.$need->id;
        $thing = $need->thing;
        $designed = Share::byDesign($need->forDesign, $workshop->headcount());
        $share = $designed ?? $said[$key] ?? null;

        return new WorkshopRow(
            $key,
            $thing->name,
            $thing->tracking,
            null === $share ? null : SharedThing::ofList($thing->name, $share, $thing->kind, $thing->tracking, $grams, $need->taken + $need->free()),
            null !== $designed,
            $need,
            $thing->kind->value,
            $thing->kind->lasts(),
        );
    }

    /** @param array<string, Share> $said */
    private function cut(Workshop $workshop, PieceToCut $piece, array $said): WorkshopRow
    {
        $key = 'piece-'.$piece->id;
        $class = $workshop->headcount();
        $designed = null === $piece->part ? null : Share::byDesign($piece->quantity, $class);
        $share = $designed ?? $said[$key] ?? null;

        return new WorkshopRow(
            $key,
            $piece->name,
            Tracking::Count,
            null === $share ? null : SharedThing::ofPiece($piece->name, $share, $piece->width, $piece->height, $piece->paper->sheet->grammage, $class),
            null !== $designed,
            null,
            'cut from '.$piece->paper->name,
        );
    }

    /** @return array<string, Share> */
    private function said(Workshop $workshop): array
    {
        $said = [];
        foreach ($workshop->shares as $dealt) {
            $said[$dealt->key()] = $dealt->share();
        }

        return $said;
    }

    /**
     * @param list<NeedRow> $needs
     *
     * @return array<int, int|null> what one of a thing weighs, by its number
     */
    private function grams(array $needs): array
    {
        $grams = [];
        foreach ($this->database->fetchAllAssociative(
            'SELECT id, grams FROM item WHERE id IN (?)',
            [[0, ...array_map(static fn (NeedRow $need): int => $need->thing->id, $needs)]],
            [ArrayParameterType::INTEGER],
        ) as $columns) {
            $row = new Row($columns);
            $grams[$row->int('id')] = $row->intOrNull('grams');
        }

        return $grams;
    }
}
