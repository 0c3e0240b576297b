<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/**
 * What the code on a label says: `LOTTEL:P17-4` for place 17, `LOTTEL:I42-8` for item 42. The last figure is a check digit
 * (the digits weighted 3 and 1 in turn from the right, as in GS1's mod 10), so that a misread code is seen to be one.
 */
final readonly class ScanCode implements \Stringable
{
    private function __construct(public bool $isPlace, public int $id)
    {
    }

    public static function ofPlace(int $id): self
    {
        return new self(true, $id);
    }

    public static function ofItem(int $id): self
    {
        return new self(false, $id);
    }

    /** Returns what a scanned text means, or null where it is no code of ours. */
    public static function read(string $text): ?self
    {
        if (1 !== preg_match('/^\s*LOTTEL:([PI])([1-9]\d{0,11})-(\d)\s*$/iD', $text, $m) || self::check($m[2]) !== (int) $m[3]) {
            return null;
        }

        return new self('P' === strtoupper($m[1]), (int) $m[2]);
    }

    public function __toString(): string
    {
        return \sprintf('LOTTEL:%s%d-%d', $this->isPlace ? 'P' : 'I', $this->id, self::check((string) $this->id));
    }

    private static function check(string $digits): int
    {
        $sum = 0;
        foreach (array_reverse(str_split($digits)) as $at => $digit) {
            $sum += (int) $digit * (0 === $at % 2 ? 3 : 1);
        }

        return (10 - $sum % 10) % 10;
    }
}
