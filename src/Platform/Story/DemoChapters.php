<?php

declare(strict_types=1);

namespace App\Platform\Story;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area with a part of the demo room's story. */
#[AutoconfigureTag]
interface DemoChapters
{
    /** The list of its chapters in demo/story.yaml; each has its `day`, counted from today. */
    public function part(): string;

    public function tell(Said $chapter): void;
}
