<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Words\Counted;

/** Whether a kit can be pulled as its list says, and what stands in the way. */
final readonly class Readiness
{
    private const NAMED = 2;

    /** @param list<string> $short names of the things of which there is too little, or none that is free */
    public function __construct(public int $lines, public array $short)
    {
    }

    public function isReady(): bool
    {
        return $this->lines > 0 && [] === $this->short;
    }

    public function inWords(): string
    {
        $short = \count($this->short);
        if (0 === $this->lines) {
            return 'its list is empty';
        }
        if (0 === $short) {
            return 1 === $this->lines ? 'the one thing is here' : \sprintf('all %d are here', $this->lines);
        }
        $named = \array_slice($this->short, 0, self::NAMED);
        $more = $short - \count($named);

        return \sprintf(
            '%d of %d are here; short of %s',
            $this->lines - $short,
            $this->lines,
            0 === $more ? Counted::names($named) : implode(', ', $named).' and '.Counted::of($more, 'more', 'more'),
        );
    }
}
