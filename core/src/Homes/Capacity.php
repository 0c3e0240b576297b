<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Furniture\Box;

/** How much a place takes. The shares are common practice, no source. */
final readonly class Capacity
{
    public const ROOM_TO_GROW = 0.2;
    public const USUAL_HEIGHT_MM = 1000;
    private const LOOSE_PACKING = 0.7;
    private const SHOULDER_MM = 1400;
    private const HEAVY_GRAMS = 4000.0;

    /**
     * @param bool $isFiled whether things stand one behind another, so that thickness counts, not volume
     * @param float|null $mostGrams what its runners or hooks carry
     * @param float $roomToGrow share that is kept free
     * @param int $aboveFloorMm height of its middle
     * @param bool $hasRunners whether it is pulled out, as a drawer is
     */
    public function __construct(
        private Box $inside,
        private bool $isFiled = false,
        private ?float $mostGrams = null,
        private float $roomToGrow = self::ROOM_TO_GROW,
        private int $aboveFloorMm = self::USUAL_HEIGHT_MM,
        private bool $hasRunners = true,
    ) {
    }

    /** Returns the litres of loose things that it takes when room to grow is kept. */
    public function litres(): float
    {
        return (1 - $this->roomToGrow) * self::LOOSE_PACKING * $this->inside->litres();
    }

    /** Returns the litres that loose things take up in a drawer, with the air between them. */
    public static function withAir(float $litres): float
    {
        return $litres / self::LOOSE_PACKING;
    }

    /** Whether it carries so much: its runners or hooks do, and nothing heavy is above the shoulder. */
    public function carries(Contents $contents): bool
    {
        return ($this->load($contents) ?? 0) <= 1 && !$this->isHeavyAboveShoulder($contents);
    }

    /** Returns how full it is, 1 being full to bursting. */
    public function fullness(Contents $contents): float
    {
        if ($this->isFiled) {
            return $contents->thickness / max(1e-9, max($this->inside->depth->millimetres(), $this->inside->width->millimetres()));
        }

        return $contents->litres / max(1e-9, self::LOOSE_PACKING * $this->inside->litres());
    }

    /** Returns how full it is when room to grow is kept, 1 being as full as it should be. */
    public function fullnessWithRoom(Contents $contents): float
    {
        return $this->fullness($contents) / max(1e-9, 1 - $this->roomToGrow);
    }

    /** Whether it holds more than it should, when room to grow is kept. */
    public function isOverFull(Contents $contents): bool
    {
        return $this->fullnessWithRoom($contents) > 1;
    }

    /** Returns how much of its load it carries, or null where no limit is known. */
    public function load(Contents $contents): ?float
    {
        return null === $this->mostGrams ? null : $contents->grams / max(1e-9, $this->mostGrams);
    }

    /** @return list<string> what is wrong with holding so much, worst first */
    public function warnings(Contents $contents): array
    {
        $warnings = [];
        if (($this->load($contents) ?? 0) > 1) {
            $warnings[] = $this->hasRunners ? 'Too heavy: it comes off its runners.' : 'Too heavy for what it hangs on or stands on.';
        }
        if ($this->fullness($contents) > 1) {
            $warnings[] = 'Full to bursting: weed, or give something another home.';
        } elseif ($this->isOverFull($contents)) {
            $warnings[] = 'No room left to grow.';
        }
        if ($this->isHeavyAboveShoulder($contents)) {
            $warnings[] = 'Heavy above the shoulder: move it lower.';
        }

        return $warnings;
    }

    /** Whether a height above the floor, in millimetres, is above the shoulder. */
    public static function isAboveShoulder(int $heightMm): bool
    {
        return $heightMm > self::SHOULDER_MM;
    }

    private function isHeavyAboveShoulder(Contents $contents): bool
    {
        return self::isAboveShoulder($this->aboveFloorMm) && $contents->grams > self::HEAVY_GRAMS;
    }
}
