<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * One stroke of the trimmer: a setting from an edge, and the parts that lie on each other under it. A part is named by the
 * number of its stock in the plan and its name there: `1` is the whole, `1.1` and `1.2` what its cut makes.
 */
final readonly class CutStep
{
    /** @param list<array{int, string}> $parts */
    public function __construct(public int $setting, public string $edge, public array $parts, public bool $isNewSetting)
    {
    }
}
