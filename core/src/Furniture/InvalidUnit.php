<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

final class InvalidUnit extends \InvalidArgumentException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
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

    public static function rowsAreTaller(): self
    {
        return new self('row_heights', 'Together they are taller than the unit.');
    }

    public static function tooSmall(): self
    {
        return new self('rows', 'So many do not go into it: each place would be less than 15 mm.');
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
