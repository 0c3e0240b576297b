<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;

/**
 * The work at the bench: how far each piece is, and what the next one takes. A line of the list that divides by the number of
 * pieces says what one piece takes of it; of the others nobody knows, so that they are booked by hand.
 */
final readonly class Bench
{
    private const A_BIT_MM = 100;

    /**
     * @param int|null $pieces how many there are to be, null where nobody has said
     * @param int $done how many are done
     * @param list<BenchLine> $lines
     */
    public function __construct(public ?int $pieces, public int $done, private array $lines)
    {
    }

    /** How many are still to be made, 0 where nobody has said. */
    public function left(): int
    {
        return max(0, ($this->pieces ?? 0) - $this->done);
    }

    /** Returns what one piece takes of a line, as the design says or as the list divides by the pieces; 0 where that is not known. */
    public function each(BenchLine $line): int
    {
        if (null !== $line->each) {
            return $line->each;
        }
        $isShared = $line->tracking->movesWhole() || null === $this->pieces || 0 !== $line->wanted % $this->pieces;

        return $isShared ? 0 : intdiv($line->wanted, $this->pieces);
    }

    /**
     * Returns what so many more pieces take, less what was used for them ahead, and no more than is on the tray.
     *
     * @return array<int, int> quantity by item
     */
    public function takes(int $more = 1): array
    {
        $takes = [];
        foreach ($this->lines as $line) {
            $quantity = min($line->onTray, $this->each($line) * ($this->done + $more) - $line->used);
            if ($quantity > 0) {
                $takes[$line->item] = $quantity;
            }
        }

        return $takes;
    }

    /**
     * Returns what the next piece would take and the tray does not have.
     *
     * @return list<string> names
     */
    public function missing(): array
    {
        $missing = array_filter(
            $this->lines,
            fn (BenchLine $line): bool => $this->each($line) * ($this->done + 1) - $line->used > $line->onTray,
        );

        return array_values(array_map(static fn (BenchLine $line): string => $line->name, $missing));
    }

    /**
     * Returns amounts that are usual for one tap, no more than is on the tray.
     *
     * @return list<int>
     */
    public function taps(BenchLine $line): array
    {
        $each = $this->each($line);
        $amounts = match (true) {
            Tracking::One === $line->tracking => [1],
            $each > 1 => [$each, 2 * $each],
            Tracking::Length === $line->tracking => [self::A_BIT_MM * Length::TICKS_PER_MILLIMETRE],
            default => [1, 2],
        };

        return array_values(array_filter($amounts, static fn (int $amount): bool => $amount <= $line->onTray));
    }

    /** @return list<PiecesAlike> all pieces in order, those equally far together; none where nobody has said how many they are to be */
    public function row(): array
    {
        $row = [];
        for ($piece = 1; $piece <= max($this->pieces ?? 0, $this->done); ++$piece) {
            $isDone = $piece <= $this->done;
            [$isBegun, $wants] = $isDone ? [true, []] : $this->stateOf($piece);
            $last = end($row);
            if (false !== $last && $last->isDone === $isDone && $last->isBegun === $isBegun && $last->wants === $wants) {
                array_pop($row);
                $row[] = new PiecesAlike($last->first, $last->many + 1, $isDone, $isBegun, $wants);
            } else {
                $row[] = new PiecesAlike($piece, 1, $isDone, $isBegun, $wants);
            }
        }

        return $row;
    }

    /** @return array{bool, list<string>} whether it is begun, and what it still wants */
    private function stateOf(int $piece): array
    {
        $isBegun = false;
        $wants = [];
        foreach ($this->lines as $line) {
            $each = $this->each($line);
            if (0 === $each) {
                continue;
            }
            if ($line->used >= $each * $piece) {
                $isBegun = true;
            } else {
                $wants[] = $line->name;
            }
        }

        return [$isBegun, $wants];
    }
}
