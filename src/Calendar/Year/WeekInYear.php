<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\Day;
use Lottel\Core\Year\WeekLoad;

/** A week with what is due in it. */
final readonly class WeekInYear
{
    /**
     * @param list<KitInYear> $kits
     * @param list<DateInYear> $dates
     * @param list<DayNote> $notes
     */
    private function __construct(public Day $monday, public ?WeekLoad $load, public array $kits, public array $dates, public array $notes)
    {
    }

    /** @param int $nth week of the page, from 0 */
    public static function of(YearPage $page, int $nth): self
    {
        $monday = $page->first->plus(7 * $nth);
        $isIn = static fn (?Day $day): bool => null !== $day && $day->number >= $monday->number && $day->number < $monday->number + 7;

        return new self(
            $monday,
            $page->weeks[$nth] ?? null,
            array_values(array_filter($page->kits, static fn (KitInYear $kit): bool => $isIn($kit->due))),
            array_values(array_filter($page->dates, static fn (DateInYear $date): bool => $isIn($date->day))),
            array_values(array_filter($page->notes, static fn (DayNote $note): bool => $isIn($note->day))),
        );
    }

    public function isEmpty(): bool
    {
        return [] === $this->kits && [] === $this->dates && [] === $this->notes && true !== $this->load?->isOverFull();
    }
}
