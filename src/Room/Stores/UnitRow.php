<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Measure\Length;
use Lottel\Core\Room\Footprint;

/** A piece of furniture as pages and drawings need it. */
final readonly class UnitRow
{
    private function __construct(
        public int $id,
        public int $roomId,
        public string $letters,
        public string $name,
        public UnitTemplate $template,
        public string $wall,
        public int $walk,
        public string $caution,
        public Length $width,
        public Length $height,
        public Length $depth,
        public Length $aboveFloor,
        public Footprint $footprint,
    ) {
    }

    public static function of(Row $row): self
    {
        [$width, $height, $depth, $aboveFloor] = [$row->int('width'), $row->int('height'), $row->int('depth'), $row->int('above_floor')];
        $letters = $row->text('letters');

        return new self(
            $row->int('id'),
            $row->int('room_id'),
            $letters,
            $row->text('name'),
            UnitTemplate::tryFrom($row->text('template')) ?? UnitTemplate::Shelf,
            $row->text('wall'),
            $row->int('walk'),
            $row->text('caution'),
            Length::ofTicks($width),
            Length::ofTicks($height),
            Length::ofTicks($depth),
            Length::ofTicks($aboveFloor),
            Footprint::ofTicks(
                $row->int('id'),
                $letters,
                $row->intOrNull('plan_x') ?? 0,
                $row->intOrNull('plan_y') ?? 0,
                $row->int('turn'),
                $width,
                $height,
                $depth,
                $aboveFloor,
            ),
        );
    }

    public function at(int $x, int $y, int $turn): self
    {
        return new self(
            $this->id,
            $this->roomId,
            $this->letters,
            $this->name,
            $this->template,
            $this->wall,
            $this->walk,
            $this->caution,
            $this->width,
            $this->height,
            $this->depth,
            $this->aboveFloor,
            $this->footprint->at($x, $y, $turn),
        );
    }
}
