<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\Refusal;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** The same person twice. */
final class PersonHasDate extends \DomainException implements Refusal
{
    public static function already(string $name, OccasionKind $kind, Recurrence $on): self
    {
        $day = new \DateTimeImmutable(\sprintf('2000-%02d-%02d', $on->month, $on->day));

        return new self(\sprintf('%s has %s already, on %s. Change that one, or write the name so that the two can be told apart.', $name, match ($kind) {
            OccasionKind::Birthday => 'a birthday',
            default => 'an anniversary',
        }, $day->format('j F')));
    }

    public function field(): string
    {
        return 'person';
    }
}
