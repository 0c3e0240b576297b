<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

use Lottel\Core\Words\Counted;

/** What is true of a kit at the end of a round, in words; pages and outcomes take their sentences from here. */
final class RoundWords
{
    /**
     * Returns what is on the tray after a pull.
     *
     * @param list<NeedState> $lines of the kit's list
     */
    public static function onTray(string $tray, array $lines): string
    {
        $count = static fn (NeedState $state): int => \count(array_filter($lines, static fn (NeedState $line): bool => $line === $state));
        $missing = [];
        if ($count(NeedState::Open) > 0) {
            $missing[] = Counted::of($count(NeedState::Open), 'line is', 'lines are').' still open';
        }
        if ($count(NeedState::Fewer) > 0) {
            $missing[] = 'of '.Counted::of($count(NeedState::Fewer), 'line').' there '.Counted::verb($count(NeedState::Fewer), 'was', 'were').' fewer';
        }
        if ($count(NeedState::NotHere) > 0) {
            $missing[] = Counted::of($count(NeedState::NotHere), 'line is', 'lines are').' done without';
        }
        if ([] === $missing) {
            return \sprintf('Everything is on %s.', $tray);
        }

        return \sprintf('What was found is on %s; %s.', $tray, implode(', ', $missing));
    }

    /** Returns what became of a kit's things when it closes; numbers of different things. */
    public static function closed(string $kit, int $home, int $used, int $notFiled, int $lost): string
    {
        $parts = [];
        if ($home > 0) {
            $parts[] = Counted::of($home, 'thing is', 'things are').' home';
        }
        if ($notFiled > 0) {
            $parts[] = Counted::of($notFiled, 'lies', 'lie').' with what is not filed';
        }
        if ($used > 0) {
            $parts[] = Counted::of($used, 'was', 'were').' used up';
        }
        if ($lost > 0) {
            $parts[] = Counted::of($lost, 'is', 'are').' lost';
        }
        $everything =
            [] === $parts || (0 === $lost && 0 === $notFiled && 0 === $used)
                ? 'Everything is back where it belongs.'
                : ucfirst(Counted::names($parts, 'part', 9)).'.';

        return \sprintf('“%s” is closed. %s', $kit, [] === $parts ? 'Nothing of it was out.' : $everything);
    }
}
