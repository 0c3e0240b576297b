<?php

declare(strict_types=1);

namespace App\Platform\Story;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area with a part of the demo room's story. */
#[AutoconfigureTag]
interface DemoChapters
{
    /** @return list<array{int, Said}> its chapters of demo/story.yaml, each with its day, counted from today */
    public function chapters(Said $story): array;

    public function tell(Said $chapter): void;
}
