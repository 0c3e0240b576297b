<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use Lottel\Core\ListImport\ListRow;
use Lottel\Core\Log\Tracking;
use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** What a list would become as things stand. */
#[Exclude]
final class Looked
{
    /** @var list<int> rows that can be taken in */
    public array $ready = [];

    /** @var list<Mistake> */
    public array $mistakes = [];

    /** @var array<int, string> what they are called that are there already, by row */
    public array $doubles = [];

    /** Rows about things that are there already, to which they add nothing. */
    public int $stays = 0;

    /** @var array<string, int> how many rows name places that nobody knows, by what the list calls them */
    public array $unknownPlaces = [];

    /** @var array<string, int> how many new things of each kind there are */
    public array $kinds = [];

    /** New things that will wait with what is not filed. */
    public int $homeless = 0;

    /** New things of which there is nothing just now. */
    public int $out = 0;

    /** @var list<LeftOutRow> rows that look as if they stood between things */
    public array $between = [];

    /** @var list<ReadyRow> some of the rows that are ready, in full */
    public array $shown = [];

    /** Rows with pounds that do not say of what. */
    public int $pounds = 0;

    /**
     * @param int $in rows that are in already
     * @param int $from from which of the rows that are ready they are shown, counted from nought
     * @param int $many how many of them are
     */
    public function __construct(public readonly int $in, private readonly int $from = 0, private readonly int $many = 0)
    {
    }

    public function mistake(Mistake $mistake): void
    {
        $this->mistakes[] = $mistake;
    }

    /**
     * @param Tracking|null $there how the same thing is counted that is there already, null where none is
     * @param int|null $place 0 for what is not filed, null where nobody knows the place
     */
    public function row(int $number, ListRow $row, ?Tracking $there, DoublesOnList $doubles, ?int $place): void
    {
        if (null !== $there) {
            $this->doubles[$number] = $row->thing->name;
        }
        match (true) {
            null === $there, DoublesOnList::Second === $doubles => $this->isNew($number, $row, $place),
            DoublesOnList::Add === $doubles && $row->addsTo($there) => $this->ready($number, $row, $place, true),
            DoublesOnList::Add === $doubles => ++$this->stays,
            default => null,
        };
    }

    /** How many rows are left out as no things. */
    public function leftOut(): int
    {
        return \count(array_filter($this->between, static fn (LeftOutRow $row): bool => !$row->isThing));
    }

    /** @return list<int> where what is shown will live, without what is not filed */
    public function places(): array
    {
        return array_values(array_filter(array_map(static fn (ReadyRow $row): int => $row->place ?? 0, $this->shown), static fn (int $id): bool => 0 !== $id));
    }

    /** @return list<string> what those look like that are left out, each once */
    public function leftOutAs(): array
    {
        $out = array_filter($this->between, static fn (LeftOutRow $row): bool => !$row->isThing);

        return array_values(array_unique(array_map(static fn (LeftOutRow $row): string => $row->what, $out)));
    }

    private function ready(int $number, ListRow $row, ?int $place, bool $adds): void
    {
        $nth = \count($this->ready);
        $this->ready[] = $number;
        $this->pounds += $row->isBasisTaken ? 1 : 0;
        if ($nth >= $this->from && $nth < $this->from + $this->many) {
            $this->shown[] = new ReadyRow($number, $row, $place, $adds);
        }
    }

    private function isNew(int $number, ListRow $row, ?int $place): void
    {
        $this->ready($number, $row, $place, false);
        $kind = $row->thing->kind->value;
        $this->kinds[$kind] = ($this->kinds[$kind] ?? 0) + 1;
        if (null === $place) {
            $this->unknownPlaces[$row->place] = ($this->unknownPlaces[$row->place] ?? 0) + 1;
        }
        $this->homeless += 0 === ($place ?? 0) ? 1 : 0;
        $this->out += $row->isThere ? 0 : 1;
    }
}
