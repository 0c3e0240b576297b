<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class ShelfRefused
{
    public static function albumIsFull(string $album, int $most): StepRefused
    {
        return new StepRefused(\sprintf('“%s” has %d pages; begin another album for those after them.', $album, $most));
    }

    public static function isInAlbum(string $page, string $album): StepRefused
    {
        return new StepRefused(\sprintf('%s is in “%s” already.', $page, $album));
    }

    public static function isInAnAlbum(string $page): StepRefused
    {
        return new StepRefused(\sprintf('%s has another place in an album meanwhile: take it out there first.', $page));
    }
}
