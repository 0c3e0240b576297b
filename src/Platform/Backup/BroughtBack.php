<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use Lottel\Core\Words\Counted;

/** What bringing a backup back has done. */
final readonly class BroughtBack
{
    /**
     * @param string|null $kept where the room that was here is kept, null where there was none
     * @param array<string, int> $stayOut how many devices, calendars and people are kept out though the backup let them in, by table
     */
    public function __construct(public ?string $kept, private array $stayOut)
    {
    }

    /** Who and what stays out, in a sentence; empty where nothing had come back. */
    public function sentence(): string
    {
        $said = array_filter([
            isset($this->stayOut['device']) ? Counted::of($this->stayOut['device'], 'device that was shut out', 'devices that were shut out') : '',
            isset($this->stayOut['feed']) ? Counted::of($this->stayOut['feed'], 'calendar that was stopped', 'calendars that were stopped') : '',
            isset($this->stayOut['account']) ? Counted::of($this->stayOut['account'], 'person who left', 'people who left') : '',
        ], static fn (string $one): bool => '' !== $one);
        $many = array_sum($this->stayOut);

        return [] === $said ? '' : \sprintf('%s %s out.', Counted::names(array_values($said)), Counted::verb($many, 'stays', 'stay'));
    }
}
