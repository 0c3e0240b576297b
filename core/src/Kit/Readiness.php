<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Words\Counted;

/** Whether a kit can be pulled as its list says, and what stands in the way. */
final readonly class Readiness
{
    private const NAMED = 2;

    /**
     * @param list<string> $short names of the things of which there is too little, or none that is free
     * @param array<string, string> $out where things are that are out, in words such as “lent to Pelle”, by their names
     * @param list<string> $withoutPaper names of the pieces for which there is no paper
     */
    public function __construct(public int $lines, public array $short, public array $out = [], public array $withoutPaper = [])
    {
    }

    public function isReady(): bool
    {
        return $this->lines > 0 && [] === $this->short && [] === $this->out && [] === $this->withoutPaper;
    }

    public function inWords(): string
    {
        return implode('; ', [
            ...0 === $this->lines && [] !== $this->withoutPaper ? [] : [$this->ofList()],
            ...[] === $this->withoutPaper ? [] : ['no paper yet for '.self::named($this->withoutPaper, ', ')[0]],
        ]);
    }

    private function ofList(): string
    {
        $short = \count($this->short);
        if (0 === $this->lines) {
            return 'its list is empty';
        }
        if (0 === $short && [] === $this->out) {
            return 1 === $this->lines ? 'the one thing is here' : \sprintf('all %d are here', $this->lines);
        }
        $here = $this->lines - $short - \count($this->out);
        $where = array_map(static fn (string $name, string $where): string => $name.' is '.$where, array_keys($this->out), $this->out);

        return \sprintf(
            '%d of %d %s here; %s',
            $here,
            $this->lines,
            Counted::verb($here),
            implode('; ', [...self::named($where), ...0 === $short ? [] : ['short of '.self::named($this->short, ', ')[0]]]),
        );
    }

    /**
     * Returns a few of them and how many more there are: one by one, or in one text where there is something to join them with.
     *
     * @param list<string> $all
     *
     * @return list<string>
     */
    private static function named(array $all, ?string $join = null): array
    {
        $named = \array_slice($all, 0, self::NAMED);
        $more = \count($all) - \count($named);
        if (null === $join) {
            return [...$named, ...0 === $more ? [] : [Counted::of($more, 'more is out', 'more are out')]];
        }

        return [0 === $more ? Counted::names($named) : implode($join, $named).' and '.Counted::of($more, 'more', 'more')];
    }
}
