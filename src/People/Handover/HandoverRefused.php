<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class HandoverRefused
{
    public static function isHandedOver(string $to): StepRefused
    {
        return new StepRefused(\sprintf('It is handed over to %s already. Take it back first.', $to));
    }

    public static function isOnesOwn(): StepRefused
    {
        return new StepRefused('It is yours already.');
    }

    public static function handoverIsSettled(): StepRefused
    {
        return new StepRefused('That was settled in the meantime; this is how it stands now.');
    }
}
