<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** What cannot be done, with a message that tells a person why and what to do. */
interface Refusal extends \Throwable
{
    /** The field beside which it is said; null where it concerns the whole step. */
    public function field(): ?string;
}
