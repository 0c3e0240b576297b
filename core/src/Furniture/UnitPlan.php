<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;

/** A unit as it would be built: its outer size, and its places from top to bottom and from left to right. */
final readonly class UnitPlan
{
    /** A place's front is no lower and no narrower than this, in tenths of a millimetre. */
    public const LEAST_FRONT = 150;

    /** @param list<PlannedPlace> $places */
    private function __construct(public Length $width, public Length $height, public Length $depth, public Length $aboveFloor, public array $places)
    {
    }

    /**
     * Returns the plan. Places of one column are numbered by row alone.
     *
     * @throws InvalidUnit if rows or columns are out of range, or the rows do not go into the unit
     * @throws InvalidAddress if the unit's letters cannot begin an address
     */
    public static function of(UnitTemplate $template, string $letters, int $rows, int $columns, UnitSize $size): self
    {
        self::check($template, $rows, $columns);
        $columns = $template->hasColumns() ? $columns : 1;
        [$width, $height, $depth, $floor] = array_map(
            static fn (int $millimetres): Length => Length::ofTenthMillimetres(10 * $millimetres),
            $template->usualSize($rows, $columns),
        );
        $margins = 2 * UnitTemplate::margin()->ticks;
        $width = $size->width ?? $width;
        $rowTicks = array_map(static fn (Length $row): int => $row->ticks, $size->rowHeights);
        if ([] !== $rowTicks && \count($rowTicks) !== $rows) {
            throw InvalidUnit::rowHeights($rows, \count($rowTicks));
        }
        $height = $size->height ?? ([] === $rowTicks ? $height : Length::ofTicks(array_sum($rowTicks) + $margins));
        if (array_sum($rowTicks) > $height->ticks - $margins) {
            throw InvalidUnit::rowsAreTaller(Length::ofTicks(array_sum($rowTicks)), Length::ofTicks($margins), $height);
        }
        $rowTicks = [] === $rowTicks ? self::evenly($height->ticks - $margins, $rows) : $rowTicks;
        $columnTicks = self::evenly($width->ticks - $margins, $columns);
        $least = Length::ofTenthMillimetres(self::LEAST_FRONT)->ticks;
        if ([] !== array_filter([...$rowTicks, ...$columnTicks], static fn (int $side): bool => $side < $least)) {
            throw InvalidUnit::tooSmall();
        }
        $depth = $size->depth ?? $depth;

        return new self($width, $height, $depth, $size->aboveFloor ?? $floor, self::places($template, $letters, $rowTicks, $columnTicks, $depth));
    }

    /**
     * @param list<int> $rows
     * @param list<int> $columns
     *
     * @return list<PlannedPlace>
     */
    private static function places(UnitTemplate $template, string $letters, array $rows, array $columns, Length $depth): array
    {
        $places = [];
        $top = UnitTemplate::margin()->ticks;
        foreach ($rows as $row => $height) {
            $left = UnitTemplate::margin()->ticks;
            foreach ($columns as $column => $width) {
                $front = new Front(Length::ofTicks($left), Length::ofTicks($top), Length::ofTicks($width), Length::ofTicks($height));
                $places[] = new PlannedPlace(
                    Address::of($letters, $row * \count($columns) + $column + 1),
                    $template->placeKind(),
                    '',
                    $front,
                    $front->inside($template, $depth),
                );
                $left += $width;
            }
            $top += $height;
        }

        return $places;
    }

    /** @return list<int> */
    private static function evenly(int $length, int $parts): array
    {
        return array_fill(0, $parts, intdiv($length, $parts));
    }

    private static function check(UnitTemplate $template, int $rows, int $columns): void
    {
        if ($rows < 1 || $rows > UnitTemplate::MOST_ROWS) {
            throw InvalidUnit::rowsOutOfRange(1, UnitTemplate::MOST_ROWS);
        }
        if ($template->hasColumns() && ($columns < 1 || $columns > UnitTemplate::MOST_COLUMNS)) {
            throw InvalidUnit::columnsOutOfRange(1, UnitTemplate::MOST_COLUMNS);
        }
    }
}
