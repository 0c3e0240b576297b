<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * The sets of pieces that are part of a job, numbered so that the number of a set and that of the rest add up to the number
 * of the whole: set 0 holds nothing, the last one everything.
 */
final readonly class PieceSets
{
    /** @var list<list<int>> how many of each piece, by set */
    public array $counts;

    /** @var list<int> how much one more of a piece adds to a set's number */
    public array $radix;

    /** @var list<int> by set */
    public array $sizes;

    /** @var list<int> piece area, by set */
    public array $areas;

    /** @var list<int> the counts in one number, a field of bits for each piece with a guard bit on top */
    private array $packed;

    private int $guards;

    /** @param list<Piece> $pieces */
    public function __construct(array $pieces)
    {
        $counts = [[]];
        $radix = [];
        foreach ($pieces as $piece) {
            $radix[] = \count($counts);
            $longer = [];
            for ($count = 0; $count <= $piece->quantity; ++$count) {
                foreach ($counts as $before) {
                    $before[] = $count;
                    $longer[] = $before;
                }
            }
            $counts = $longer;
        }
        $this->counts = $counts;
        $this->radix = $radix;
        $this->sizes = array_map(array_sum(...), $counts);
        $this->areas = array_map(
            static fn (array $of): int => array_sum(array_map(static fn (int $count, Piece $piece): int => $count * $piece->area(), $of, $pieces)),
            $counts,
        );
        [$this->packed, $this->guards] = self::packed($pieces, $counts);
    }

    public function areaOf(int $set): int
    {
        \assert(isset($this->areas[$set]));

        return $this->areas[$set];
    }

    public function all(): int
    {
        return \count($this->counts) - 1;
    }

    /** Whether a set holds another, counted piece by piece in one subtraction: no field may borrow from its guard bit. */
    public function holds(int $set, int $part): bool
    {
        return $part <= $set && ((($this->packed[$set] | $this->guards) - $this->packed[$part]) & $this->guards) === $this->guards;
    }

    /** In how many ways the sets that are no larger than an area can be parted in two. */
    public function pairs(int $mostArea): int
    {
        $pairs = 0;
        foreach ($this->counts as $set => $counts) {
            if ($this->areas[$set] <= $mostArea) {
                $pairs += intdiv((int) array_product(array_map(static fn (int $count): int => $count + 1, $counts)), 2);
            }
        }

        return $pairs;
    }

    /** @return list<int> the sets that are part of a set, itself and nothing left out */
    public function partsOf(int $set): array
    {
        $parts = [0];
        foreach ($this->counts[$set] as $index => $count) {
            $without = $parts;
            for ($i = 1; $i <= $count; ++$i) {
                $more = $i * $this->radix[$index];
                foreach ($without as $part) {
                    $parts[] = $part + $more;
                }
            }
        }
        unset($parts[array_key_last($parts)], $parts[0]);

        return array_values($parts);
    }

    /**
     * @param list<Piece> $pieces
     * @param list<list<int>> $counts
     *
     * @return array{list<int>, int}
     */
    private static function packed(array $pieces, array $counts): array
    {
        $shifts = [];
        $shift = $guards = 0;
        foreach ($pieces as $piece) {
            $shifts[] = $shift;
            $shift += \strlen(decbin($piece->quantity)) + 1;
            $guards |= 1 << ($shift - 1);
        }
        $packed = [];
        foreach ($counts as $of) {
            $number = 0;
            foreach ($of as $index => $count) {
                $number |= $count << $shifts[$index];
            }
            $packed[] = $number;
        }

        return [$packed, $guards];
    }
}
