<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** Reads a log that was written elsewhere, line by line, and holds each line to the laws; what results are its balances. */
final class Replay
{
    private readonly Balances $balances;

    /**
     * @param array<int, LoggedPlace> $places by number; whether one is out of use by now is no matter of its past
     * @param array<int, Tracking> $trackings how each thing was counted at first, by its number
     * @param array<int, array<int, list<Retracking>>> $retrackings by thing and the line after which it was counted otherwise, in order
     */
    public function __construct(private readonly array $places, private array $trackings, private readonly array $retrackings)
    {
        $this->balances = new Balances();
    }

    /**
     * Adds a line.
     *
     * @param RecordedLine|null $reversed the line that it puts right
     *
     * @throws BrokenLaw with the law and the line
     */
    public function add(RecordedLine $line, ?RecordedLine $reversed = null): void
    {
        $movement = $this->movement($line);
        $this->checkReversal($line, $reversed);
        if (!$line->reason->links($movement->from, $movement->to)) {
            throw BrokenLaw::of(1, $line, RefusedMovement::reasonDoesNotLink($line->reason, $movement->from->label, $movement->to->label)->getMessage());
        }
        if (!$line->hasKit && ($movement->from->isTray() || $movement->to->isTray())) {
            throw BrokenLaw::of(1, $line, 'Only a kit has things on a tray, and no kit is named.');
        }
        try {
            $this->balances->post($movement);
        } catch (RefusedMovement $refused) {
            throw BrokenLaw::of(4, $line, $refused->getMessage(), $refused);
        }
        $this->countOtherwise($line);
    }

    /** @return array<int, array<int, int>> place to quantity, by thing; nothing where the quantity is 0 */
    public function balances(): array
    {
        return $this->balances->all();
    }

    /** Returns how a thing is counted after the last line. */
    public function tracking(int $item): Tracking
    {
        return $this->trackings[$item];
    }

    private function movement(RecordedLine $line): Movement
    {
        [$from, $to, $tracking] = [$this->places[$line->from], $this->places[$line->to], $this->trackings[$line->item]];
        try {
            $tracking->check($line->quantity);
        } catch (RefusedMovement $refused) {
            throw BrokenLaw::of($tracking->isSingle() ? 4 : 3, $line, $refused->getMessage(), $refused);
        }
        try {
            return Movement::of($line->item, $tracking, $line->quantity, $from->inUse(), $to->inUse(), $line->reason);
        } catch (RefusedMovement $refused) {
            throw BrokenLaw::of(1, $line, $refused->getMessage(), $refused);
        }
    }

    private function checkReversal(RecordedLine $line, ?RecordedLine $reversed): void
    {
        $isReversal = Reason::Reverse === $line->reason;
        if ($isReversal !== (null !== $line->reverses)) {
            throw BrokenLaw::of(2, $line, $isReversal ? 'It puts nothing right.' : 'It puts a line right, but does not say so.');
        }
        if ($isReversal && (null === $reversed || !$line->mirrors($reversed))) {
            throw BrokenLaw::of(2, $line, 'It does not mirror the line that it puts right.');
        }
    }

    private function countOtherwise(RecordedLine $line): void
    {
        foreach ($this->retrackings[$line->item][$line->line] ?? [] as $change) {
            if ($change->from !== $this->trackings[$line->item]) {
                throw BrokenLaw::of(4, $line, 'From here on it is counted otherwise, but it was not counted so before.');
            }
            $this->balances->convert($line->item, $change);
            $this->trackings[$line->item] = $change->to;
            if ($change->to->isSingle() && $this->balances->inside($line->item) > 1) {
                throw BrokenLaw::of(4, $line, 'From here on it is one thing, but there is more than one.');
            }
        }
    }
}
