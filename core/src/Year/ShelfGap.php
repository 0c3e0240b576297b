<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Words\Counted;

/** What the shelf will lack: told before somebody stands in front of it. */
final readonly class ShelfGap
{
    /** A shelf that holds a quarter of a year or less is told. */
    private const LASTS = 4;

    private function __construct(public string $word, public int $there, public int $given, public int $coming)
    {
    }

    /**
     * @param array<string, int> $there cards that are free, by the occasion they are for; 0 for those that the shelf has a place for
     * @param array<string, int> $given how many went in the last year, by the same
     * @param array<string, int> $coming how many the next weeks want that nothing is made for
     *
     * @return list<self> the emptiest first
     */
    public static function of(array $there, array $given, array $coming): array
    {
        $words = array_unique(array_map(strval(...), [...array_keys($there), ...array_keys($given), ...array_keys($coming)]));
        $gaps = [];
        foreach ($words as $word) {
            $gap = new self($word, $there[$word] ?? 0, $given[$word] ?? 0, $coming[$word] ?? 0);
            if (0 === $gap->there || $gap->there < $gap->coming || ($gap->given > 0 && self::LASTS * $gap->there <= $gap->given)) {
                $gaps[] = $gap;
            }
        }
        usort($gaps, static fn (self $a, self $b): int => [$a->there, -$a->coming, -$a->given, $a->word] <=> [$b->there, -$b->coming, -$b->given, $b->word]);

        return $gaps;
    }

    public function inWords(): string
    {
        $card = trim($this->word.' card');
        $about = array_filter([
            $this->coming > 0 ? \sprintf('%s wanted soon', number_format($this->coming)) : null,
            $this->given > 0 ? \sprintf('%s went in a year', number_format($this->given)) : null,
        ]);

        return (0 === $this->there ? 'no '.$card : Counted::of($this->there, $card)).([] === $about ? '' : ', '.implode(', ', $about));
    }
}
