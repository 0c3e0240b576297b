<?php

declare(strict_types=1);

namespace App\Catalogue;

use Lottel\Core\Catalogue\PastedThing;

/** What pasted lines would become. */
final readonly class ThingsPreview
{
    /**
     * @param list<PastedThing> $things
     * @param array<int, list<DoubleRow>> $doubles by thing
     */
    public function __construct(public string $text, public array $things, public array $doubles)
    {
    }
}
