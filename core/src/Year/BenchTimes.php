<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Design\MakingStep;

/** Usual times at the bench, in seconds (typical, from memory; common practice, no source). A person's own log is better. */
final readonly class BenchTimes
{
    /** @param int|null $fetch seconds for one thing as the log knows them; null where it does not */
    public function __construct(private ?int $fetch = null)
    {
    }

    /** One cut on a trimmer, half of them at the setting of the one before: 20 s and 8 s. */
    private const CUT = 14;
    private const SCORE = 10;

    /** By the last word of a step's key. A card of four layers is put together in 6 to 10 minutes, so that one layer takes two. */
    private const STEPS = ['fold' => 10, 'window' => 90, 'die' => 40, 'stamp' => 45, 'stick' => 120, 'envelope' => 15];
    private const CARD = 25 * 60;

    /** By what one piece is called; all others take as long as a card. */
    private const PIECES = ['page' => 135 * 60, 'layout' => 135 * 60, 'spread' => 270 * 60, 'tag' => 6 * 60, 'box' => 40 * 60, 'bookmark' => 10 * 60];

    /** One thing found, taken and put down, walking included. */
    private const FETCH = 25;

    /** Thinking, laying out, and clearing away what lies about, for each piece. */
    private const AROUND = 4 * 60;

    public function piece(string $one): int
    {
        return self::PIECES[$one] ?? self::CARD;
    }

    /** Returns the minutes that so many cards take, one at the least. */
    public function cards(int $many): int
    {
        return max(1, $many) * intdiv(self::CARD, 60);
    }

    /** @param list<MakingStep> $steps of one piece; at least one */
    public function made(array $steps): int
    {
        $seconds = array_map(static function (MakingStep $step): int {
            $words = explode('.', $step->key);

            return self::STEPS[end($words)] ?? self::STEPS['stick'];
        }, $steps);

        return self::AROUND + array_sum($seconds);
    }

    public function cuts(int $pieces, int $scores): int
    {
        return self::CUT * $pieces + self::SCORE * $scores;
    }

    public function fetched(int $things): int
    {
        return ($this->fetch ?? self::FETCH) * $things;
    }
}
