<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;

final class InvalidLabel extends \InvalidArgumentException
{
    /** @param list<int> $sides the least and the most that a side may be, in tenths of a millimetre, where it is about these */
    private function __construct(public readonly string $field, string $message, private readonly array $sides = [])
    {
        parent::__construct($message);
    }

    public static function size(int $least, int $most): self
    {
        return new self('size', \sprintf('A label is from %d to %d mm wide and high.', intdiv($least, 10), intdiv($most, 10)), [$least, $most]);
    }

    /** Returns what is wrong in the units of a room, in whole millimetres or eighths of an inch that are right. */
    public function inWords(LengthFormat $lengths): string
    {
        if ([] === $this->sides) {
            return $this->getMessage();
        }
        [$least, $most] = array_map(static fn (int $tenths): int => Length::ofTenthMillimetres($tenths)->ticks, $this->sides);
        $step = LengthUnit::Inch === $lengths->unit ? Length::TICKS_PER_INCH / 8 : Length::TICKS_PER_MILLIMETRE;

        return \sprintf(
            'A label is from %s to %s wide and high.',
            $lengths->full(Length::ofTicks((int) (ceil($least / $step) * $step))),
            $lengths->full(Length::ofTicks((int) (floor($most / $step) * $step))),
        );
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
