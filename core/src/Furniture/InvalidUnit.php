<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;

final class InvalidUnit extends \InvalidArgumentException
{
    /** @param (\Closure(LengthFormat): string)|null $say where it names lengths */
    private function __construct(public readonly string $field, string $message, private readonly ?\Closure $say = null)
    {
        parent::__construct($message);
    }

    /** Returns what is wrong with its lengths as the room measures. */
    public function inWords(LengthFormat $lengths): string
    {
        return null === $this->say ? $this->getMessage() : ($this->say)($lengths);
    }

    public static function rowsOutOfRange(int $least, int $most): self
    {
        return new self('rows', \sprintf('Give a whole number from %d to %d.', $least, $most));
    }

    public static function columnsOutOfRange(int $least, int $most): self
    {
        return new self('columns', \sprintf('Give a whole number from %d to %d.', $least, $most));
    }

    public static function rowHeights(int $rows, int $given): self
    {
        return new self('row_heights', \sprintf('Give one height for each row: %d, not %d.', $rows, $given));
    }

    public static function rowsAreTaller(Length $rows, Length $frame, Length $unit): self
    {
        return new self('row_heights', 'Together they are taller than the unit.', static fn (LengthFormat $lengths): string => \sprintf(
            'Together they are %s, and the frame above and below takes %s: that does not go into a unit %s high.',
            ...array_map($lengths->full(...), [$rows, $frame, $unit]),
        ));
    }

    public static function tooSmall(): self
    {
        return new self('rows', 'So many do not go into it.', static fn (LengthFormat $lengths): string => \sprintf(
            'So many do not go into it: each place would be less than %s.',
            $lengths->full(Length::ofTenthMillimetres(UnitPlan::LEAST_FRONT)),
        ));
    }

    public static function partsOutOfRange(int $least, int $most): self
    {
        return new self('parts', \sprintf('Give a whole number from %d to %d.', $least, $most));
    }

    public static function notSideBySide(string $one, string $other): self
    {
        return new self(
            'with',
            \sprintf('%s and %s do not make one front: they must lie side by side, or one above the other, in the same size.', $one, $other),
        );
    }

    public static function outsideTheWalls(string $unit): self
    {
        return new self('plan', \sprintf('%s would stand outside the walls.', $unit));
    }

    public static function stand(string $one, string $other): self
    {
        return new self('plan', \sprintf('%s and %s would stand on the same spot.', $one, $other));
    }
}
