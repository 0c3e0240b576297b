<?php

declare(strict_types=1);

namespace App\Platform\Steps;

/** A table whose changes the journal writes down, and what an undo knows of it. */
final readonly class WatchedTable
{
    /**
     * @param list<string> $follows columns that follow from the log and are no change of their own
     * @param string $inWords what is as before when its rows are put back, such as “the shelf”; where it is empty each row is called by its name
     * @param bool $isOfTheLoop whether a helper changes it while pulling, making and returning
     * @param bool $goesOn whether others go on with it after a step, which is then taken back by what it added
     * @param bool $isLog whether its rows only come, and those that reverse another are no change of their own
     * @param bool $goesWithItsThing whether its rows are put back with a line of the log about the same thing
     */
    public function __construct(
        public string $name,
        public array $follows = [],
        public string $inWords = '',
        public bool $isOfTheLoop = false,
        public bool $goesOn = false,
        public bool $isLog = false,
        public bool $goesWithItsThing = false,
    ) {
    }
}
