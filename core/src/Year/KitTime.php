<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Measure\Duration;
use Lottel\Core\Words\Counted;

/** How long a kit still takes until it is made, and how that is known. An estimate unless a person has said it. */
final readonly class KitTime
{
    /** So few kits are no measure yet. */
    private const LEAST_LIKE = 3;

    private function __construct(public int $minutes, public string $why, public bool $isSaid)
    {
    }

    /** @param int $done how many of $pieces are made */
    public static function said(int $minutes, int $done = 0, int $pieces = 1): self
    {
        return new self(self::left($minutes, $done, $pieces), 'as you said', true);
    }

    /**
     * @param KitWorkload $work what is still to be done
     * @param list<int> $like minutes that one piece took in kits like it, from the log
     */
    public static function estimated(KitWorkload $work, array $like, BenchTimes $times = new BenchTimes()): self
    {
        $left = max(0, $work->pieces - $work->done);
        $ahead = $times->fetched($work->thingsToPull) + $times->cuts($work->piecesToCut, $work->scores);
        if (\count($like) >= self::LEAST_LIKE) {
            sort($like);
            $each = 60 * $like[intdiv(\count($like), 2)];
            $why = \sprintf('from %s like it', Counted::of(\count($like), 'kit'));
        } else {
            $each = [] === $work->steps ? $times->piece($work->piece) : $times->made($work->steps);
            $why = [] === $work->steps ? 'from usual times' : 'from the steps of its design';
        }
        $minutes = (int) max(5, round(($ahead + $left * $each) / 60 / 5) * 5);

        return new self($minutes, $why.($work->isNumberKnown ? '' : ', for one: it does not say how many'), false);
    }

    public function inWords(): string
    {
        return ($this->isSaid ? '' : 'about ').Duration::ofMinutes($this->minutes)->text();
    }

    private static function left(int $minutes, int $done, int $pieces): int
    {
        return (int) max(5, ceil($minutes * max(0, $pieces - $done) / max(1, $pieces)));
    }
}
