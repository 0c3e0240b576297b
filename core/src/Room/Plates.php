<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** Sets plates beside units for lit fronts that are too small for their address, none upon another. In pixels. */
final readonly class Plates
{
    public const LEAST_WIDTH = 24.0;
    public const LEAST_HEIGHT = 18.0;
    private const STEP = 18.5;
    private const CHARACTER = 7.2;
    private const PADDING = 8.0;
    private const MARGIN = 3.0;

    public function __construct(private DrawnRow $row)
    {
    }

    public static function isLegible(float $width, float $height): bool
    {
        return $width >= self::LEAST_WIDTH && $height >= self::LEAST_HEIGHT;
    }

    /**
     * @param list<LitFront> $lit in this row
     *
     * @return list<Plate>
     */
    public function beside(array $lit): array
    {
        $byGap = [];
        foreach ($this->row->units as $at => $unit) {
            $small = array_values(array_filter(
                $lit,
                static fn (LitFront $front): bool => $front->unit === $unit->unit->id && !self::isLegible($front->width, $front->height),
            ));
            if ([] === $small) {
                continue;
            }
            usort($small, static fn (LitFront $a, LitFront $b): int => [$a->middle(), $a->x] <=> [$b->middle(), $b->x]);
            $isLeft = $this->isLeft($unit, $small);
            foreach ($this->folded($small) as $fronts) {
                $byGap[$isLeft ? $at : $at + 1][] = $this->plate($unit, $fronts, $isLeft);
            }
        }

        return array_merge(...array_map($this->apart(...), array_values($byGap)));
    }

    /**
     * Plates go where they hide less of the row: of other units, and of names.
     *
     * @param list<LitFront> $small
     */
    private function isLeft(DrawnUnit $unit, array $small): bool
    {
        return $this->hidden($unit, $small, true) < $this->hidden($unit, $small, false);
    }

    /** @param list<LitFront> $small */
    private function hidden(DrawnUnit $unit, array $small, bool $isLeft): float
    {
        $hidden = 0.0;
        foreach ($small as $front) {
            $width = $this->width([$front]) + Plate::DISC;
            $left = $isLeft ? $unit->x - $width : $unit->x + $unit->width;
            $hidden += Plate::HEIGHT * (max(0.0, -$left) + max(0.0, $left + $width - $this->row->width));
            foreach ($this->row->units as $other) {
                $name = $other->nameBox();
                $hidden += $other === $unit ? 0.0 : self::overlap($left, $front, $width, $other->x, $other->y, $other->width, $other->height);
                $hidden += self::overlap($left, $front, $width, ...$name);
            }
        }

        return $hidden;
    }

    private static function overlap(float $left, LitFront $front, float $width, float $x, float $y, float $across, float $down): float
    {
        $top = $front->middle() - Plate::HEIGHT / 2;

        return max(0.0, min($left + $width, $x + $across) - max($left, $x)) * max(0.0, min($top + Plate::HEIGHT, $y + $down) - max($top, $y));
    }

    /**
     * @param list<LitFront> $small
     *
     * @return list<non-empty-list<LitFront>> as many as there is height for
     */
    private function folded(array $small): array
    {
        $most = max(1, (int) floor(($this->row->height + Elevation::BOARD) / self::STEP));

        return array_chunk($small, max(1, (int) ceil(\count($small) / $most)));
    }

    /** @param non-empty-list<LitFront> $fronts */
    private function plate(DrawnUnit $unit, array $fronts, bool $isLeft): Plate
    {
        $width = $this->width($fronts);
        $disc = '' === (new Plate($fronts, 0, 0, 0, false))->stop() ? self::MARGIN : 2 * Plate::DISC;
        $middle = array_sum(array_map(static fn (LitFront $front): float => $front->middle(), $fronts)) / \count($fronts);
        $x = $isLeft ? $unit->x - $width : $unit->x + $unit->width - Plate::DISC + $disc - self::MARGIN;
        if (!$isLeft) {
            $x = min($x, $this->row->width - $this->plateWidth($fronts));
        }

        return new Plate($fronts, $x, $middle - Plate::HEIGHT / 2, $this->plateWidth($fronts), $isLeft);
    }

    /** @param non-empty-list<LitFront> $fronts */
    private function plateWidth(array $fronts): float
    {
        return mb_strlen((new Plate($fronts, 0, 0, 0, false))->address()) * self::CHARACTER + self::PADDING;
    }

    /** @param non-empty-list<LitFront> $fronts */
    private function width(array $fronts): float
    {
        return $this->plateWidth($fronts) + Plate::DISC;
    }

    /**
     * Moves the plates of one gap apart, each as little as may be: neighbours that touch share their way.
     *
     * @param non-empty-list<Plate> $plates
     *
     * @return list<Plate>
     */
    private function apart(array $plates): array
    {
        usort($plates, static fn (Plate $a, Plate $b): int => $a->y <=> $b->y);
        $tops = Spread::over(
            array_map(static fn (Plate $plate): float => $plate->y, $plates),
            self::STEP,
            $this->row->height + Elevation::BOARD - Plate::HEIGHT,
        );

        return array_map(
            static fn (Plate $plate, float $top): Plate => new Plate($plate->fronts, $plate->x, $top, $plate->width, $plate->isLeft),
            $plates,
            $tops,
        );
    }
}
