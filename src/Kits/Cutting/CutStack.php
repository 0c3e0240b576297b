<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use Lottel\Core\Cutting\CutSequence;
use Lottel\Core\Cutting\CutStep;
use Lottel\Core\Cutting\WorkPart;

/** Sheets that are cut alike, as one stack under a guillotine. */
final readonly class CutStack
{
    public function __construct(public int $sheet, public string $name, public int $sheets, private WorkPart $root)
    {
    }

    public function width(): int
    {
        return $this->root->width;
    }

    public function height(): int
    {
        return $this->root->height;
    }

    /** @return list<CutStep> each through the whole stack; what is cut alike lies beside or upon each other */
    public function steps(): array
    {
        return (new CutSequence(\PHP_INT_MAX))->goOn([[$this->sheet, '1', $this->root->part()]]);
    }
}
