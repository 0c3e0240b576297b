<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

final class InvalidLabel extends \InvalidArgumentException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function size(int $least, int $most): self
    {
        return new self('size', \sprintf('A label is from %d to %d mm wide and high.', intdiv($least, 10), intdiv($most, 10)));
    }

    public static function sheetIsTooSmall(): self
    {
        return new self('columns', 'So many labels do not go onto the page with these margins.');
    }

    public static function noSuchSheet(): self
    {
        return new self('sheet', 'Choose one of the sheets in the list.');
    }

    public static function largerThanPaper(): self
    {
        return new self('sheet', 'A label is larger than the paper.');
    }

    public static function start(int $most): self
    {
        return new self('start', \sprintf('Begin with label 1 to %d.', $most));
    }

    public static function tape(): self
    {
        return new self('tape', 'Tapes are 6, 9, 12, 18 or 24 mm wide.');
    }
}
