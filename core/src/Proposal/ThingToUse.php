<?php

declare(strict_types=1);

namespace Lottel\Core\Proposal;

use Lottel\Core\Colour\OkLch;
use Lottel\Core\Colour\Srgb;

/** A thing that is at home and free, so that it can be proposed. */
final readonly class ThingToUse
{
    public ?OkLch $lch;

    /** Whether what is written of stamps speaks of an occasion; any does where none is asked for. */
    public static function speaksOf(string $occasion, string ...$written): bool
    {
        return '' === $occasion || str_contains(mb_strtolower(implode(' ', $written)), mb_strtolower($occasion));
    }

    /** Returns for how long it has lain, in words; empty where that is not worth a word. */
    public function idleInWords(): string
    {
        return match (true) {
            $this->idleDays < 14 => '',
            $this->idleDays < 60 => intdiv($this->idleDays, 7).' weeks',
            $this->idleDays < 730 => intdiv($this->idleDays, 30).' months',
            default => intdiv($this->idleDays, 365).' years',
        };
    }

    /**
     * @param int $idleDays since it was used last, or came in
     * @param float $seconds that it takes to get at it
     * @param list<int> $with things that go with it, such as its dies
     * @param bool $isFitting whether it says what was asked for; of stamps only
     */
    public function __construct(
        public int $id,
        public ?Srgb $colour,
        public int $idleDays,
        public float $seconds = 0.0,
        public bool $isScrap = false,
        public array $with = [],
        public bool $isFitting = true,
    ) {
        $this->lch = null === $colour ? null : OkLch::of($colour);
    }
}
