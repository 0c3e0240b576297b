<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** How a greedy filling goes about it: which fit it likes, and in which order it cuts. */
final readonly class Filling
{
    public const FIT_AREA = 0;
    public const FIT_SHORT_SIDE = 1;
    public const FIT_LONG_SIDE = 2;

    /** @param bool|null $alongXFirst null to leave the larger offcut */
    public function __construct(public int $fit, public ?bool $alongXFirst)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        $all = [];
        foreach ([null, true, false] as $alongXFirst) {
            foreach ([self::FIT_AREA, self::FIT_SHORT_SIDE, self::FIT_LONG_SIDE] as $fit) {
                $all[] = new self($fit, $alongXFirst);
            }
        }

        return $all;
    }
}
