<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Care\Care;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Care\StampInk;

/** A caution, and the things to which it applies. */
final readonly class CareRow
{
    /** @param list<string> $names */
    private function __construct(public Care $care, public array $names)
    {
    }

    /**
     * Returns the cautions that apply to some things on their way out, each once.
     *
     * @param list<ThingLine> $things
     *
     * @return list<self>
     */
    public static function onPull(array $things, bool $isForChild = false): array
    {
        return self::each($things, Care::onPull(...), $isForChild);
    }

    /**
     * Returns the cautions that apply to some things on their way home, each once.
     *
     * @param list<ThingLine> $things
     * @param list<StampInk> $inks that were with them
     *
     * @return list<self>
     */
    public static function onReturn(array $things, array $inks = [], bool $isForChild = false): array
    {
        $careOf = static fn (Hazard $hazard): Care => Hazard::Inky === $hazard ? Care::onReturnOfStamps($inks) : Care::onReturn($hazard);

        return self::each($things, $careOf, $isForChild);
    }

    /**
     * @param list<ThingLine> $things
     * @param callable(Hazard): (Care|null) $careOf
     *
     * @return list<self>
     */
    private static function each(array $things, callable $careOf, bool $isForChild): array
    {
        $cares = [];
        foreach ($things as $thing) {
            foreach ($thing->hazards as $hazard) {
                $care = $careOf($hazard);
                if (null !== $care) {
                    $names = [...$cares[$hazard->value]->names ?? [], $thing->name];
                    $cares[$hazard->value] = new self($isForChild ? $care->forChild() : $care, $names);
                }
            }
        }

        return array_values($cares);
    }
}
