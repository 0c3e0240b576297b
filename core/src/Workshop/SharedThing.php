<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

/** A thing or cut piece of a class with how it is dealt out. */
final readonly class SharedThing
{
    /**
     * @param int $milligrams how heavy one of it is
     * @param bool $isUsual whether that is only what such things usually weigh
     * @param int $there how much of it there is for the class: on its tray, or to be had
     */
    public function __construct(public string $name, public Share $share, public int $milligrams, public bool $isUsual, public int $there)
    {
    }

    /** How much more of it is wanted than there is. */
    public function short(Headcount $class): int
    {
        return max(0, $this->share->wanted($class) - $this->there);
    }
}
