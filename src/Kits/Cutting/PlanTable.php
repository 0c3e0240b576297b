<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Web\ColumnKind;
use App\Platform\Web\Table;
use Lottel\Core\Cutting\Crease;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;

/** The pieces of a plan, or its cuts in their order, as lists to take along. */
final readonly class PlanTable
{
    public function cuts(CuttingTable $table, LengthFormat $lengths): Table
    {
        $rows = [];
        $number = 0;
        foreach ($table->sheets as $row) {
            ++$number;
            $step = 0;
            foreach ($row->sheet()->root->cuts() as $name => $part) {
                $at = Length::ofTicks($part->cutsAt());
                $axis = $part->isCutAlongX ? 'x' : 'y';
                $rows[] = [$number, $row->item->name, ++$step, $name, $axis, $lengths->exact($at), "{$name}.1 {$name}.2", $part->isMade ? 'yes' : 'no'];
            }
        }

        return new Table('cuts', array_fill_keys(['sheet', 'paper', 'step', 'part', 'axis', 'at', 'makes', 'made'], ColumnKind::AsItIs), $rows);
    }

    public function pieces(CuttingTable $table, LengthFormat $lengths): Table
    {
        $rows = [];
        foreach ($table->pieces as $piece) {
            $size = $piece->size();
            $creases = array_map(
                static fn (Crease $crease): string => $lengths->exact(Length::ofTicks($crease->at)).
                    ($crease->isAlongX ? ' from the left' : ' from the top'),
                $piece->creases(),
            );
            $rows[] = [
                $piece->name,
                $lengths->exact($size->width),
                $lengths->exact($size->height),
                $piece->quantity,
                $table->cut($piece),
                $piece->paper->name,
                $piece->mayTurn ? 'yes' : 'no',
                implode(', ', $creases),
            ];
        }

        $columns = ['piece', 'width', 'height', 'quantity', 'cut', 'paper', 'may turn', 'scored at'];

        return new Table('pieces', array_fill_keys($columns, ColumnKind::AsItIs), $rows);
    }
}
