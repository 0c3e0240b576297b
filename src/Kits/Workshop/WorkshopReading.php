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
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Paper\Stack;
use Lottel\Core\Workshop\Share;
use Lottel\Core\Workshop\SharedThing;

/** What each one of a class gets: from what was said, and from the kit's design. */
final readonly class WorkshopReading
{
    /** Milligrams to the square metre of a letter sheet as heavy as such sheets usually are. */
    private const USUAL_SHEET = 265_000;

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
        $designed = $this->byDesign($need->forDesign, $workshop);
        $share = $designed ?? $said[$key] ?? null;
        $tracking = $need->thing->tracking;
        $one = null === $grams ? TypicalSize::contents($need->thing->kind, Tracking::Count, 1)->grams * 1000 : $grams * 1000;

        return new WorkshopRow(
            $key,
            $need->thing->name,
            $tracking,
            null === $share ? null : new SharedThing(
                $need->thing->name,
                $share,
                Tracking::Length === $tracking ? 0 : (int) round($one),
                null === $grams,
                $tracking->isLevel() ? min(1, $need->taken + $need->free()) : $need->taken + $need->free(),
            ),
            null !== $designed,
            $need,
            $need->thing->kind->value,
            $need->thing->kind->lasts(),
        );
    }

    /** @param array<string, Share> $said */
    private function cut(Workshop $workshop, PieceToCut $piece, array $said): WorkshopRow
    {
        $key = 'piece-'.$piece->id;
        $designed = null === $piece->part ? null : $this->byDesign($piece->quantity, $workshop);
        $share = $designed ?? $said[$key] ?? null;
        $grammage = $piece->paper->sheet->grammage;
        $metres = static fn (int $ticks): float => $ticks / (1000 * Length::TICKS_PER_MILLIMETRE);
        $grams = Stack::sheetGrams($metres($piece->width), $metres($piece->height), ($grammage ?? self::USUAL_SHEET) / 1000);
        $milligrams = (int) round(1000 * $grams);

        return new WorkshopRow(
            $key,
            $piece->name,
            Tracking::Count,
            null === $share ? null : new SharedThing($piece->name, $share, $milligrams, null === $grammage, $share->wanted($workshop->headcount())),
            null !== $designed,
            null,
            'cut from '.$piece->paper->name,
        );
    }

    /** How a quantity that the design wants is dealt out; null where it does not come out even. */
    private function byDesign(int $quantity, Workshop $workshop): ?Share
    {
        $sets = $workshop->headcount()->sets();

        return $quantity > 0 && 0 === $quantity % $sets ? new Share(intdiv($quantity, $sets)) : null;
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
