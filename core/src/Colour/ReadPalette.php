<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** What was read out of a palette's file: its colours, and the lines that say no colour, counted from 1. */
final readonly class ReadPalette
{
    /**
     * @param list<NamedColour> $colours
     * @param list<int> $unread
     */
    public function __construct(public string $name, public array $colours, public array $unread)
    {
    }
}
