<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** What can be had of an item for one kit, given where it is and what other kits want of it. Quantities as in Tracking. */
final readonly class Availability
{
    /**
     * @param int $atHome in storage now
     * @param int $onTrays on the trays of other kits now
     * @param int $wantedByOthers wanted by other kits and not yet taken
     */
    public function __construct(public int $atHome, public int $onTrays, public int $wantedByOthers)
    {
    }

    /** Returns how much is in storage and wanted by nobody else. */
    public function free(): int
    {
        return max(0, $this->atHome - $this->wantedByOthers);
    }

    /**
     * Returns how many sheets a kit may cut: what is free, and what lies whole on its own tray, but for what is wanted of them otherwise.
     *
     * @param int $onOwnTray on its tray, and not cut into
     * @param int $otherwise wanted by the same kit for something else, and not used yet
     */
    public function forCuts(int $onOwnTray, int $otherwise): int
    {
        return max(0, $this->free() + max(0, $onOwnTray) - max(0, $otherwise));
    }

    /** Returns how much of $wanted cannot be had without taking from another kit. */
    public function shortfall(int $wanted): int
    {
        return max(0, $wanted - $this->free());
    }
}
