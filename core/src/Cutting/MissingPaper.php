<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** Why a piece comes out of no paper that there is. */
final readonly class MissingPaper
{
    /** @param int $by how much longer the trimmer would have to cut; 0 where that is not the reason */
    private function __construct(public MissingReason $reason, public int $by = 0)
    {
    }

    /** @param list<Stock> $stocks what of its paper is free */
    public static function of(Piece $piece, array $stocks, Trimmer $trimmer): self
    {
        $piece = new Piece($piece->id, $piece->width, $piece->height, 1, $piece->mayTurn, '');
        $there = array_filter($stocks, static fn (Stock $stock): bool => $stock->quantity > 0);
        $free = array_map(static fn (Stock $stock): Stock => self::one($stock, $piece), $there);
        $large = array_values(array_filter($free, static fn (Stock $stock): bool => self::comes($piece, $stock, new Trimmer())));

        return match (true) {
            [] === $free => new self(MissingReason::NoneIsFree),
            [] === $large => new self(MissingReason::TooSmall),
            [] !== array_filter($large, static fn (Stock $stock): bool => self::comes($piece, $stock, $trimmer)) => new self(MissingReason::NotEnough),
            default => self::byTrimmer($piece, $large, $trimmer),
        };
    }

    /** @param non-empty-list<Stock> $stocks */
    private static function byTrimmer(Piece $piece, array $stocks, Trimmer $trimmer): self
    {
        $longest = $trimmer->longestCut;
        $lengths = null === $longest ? [] : array_merge(
            ...array_map(static fn (Stock $stock): array => [$stock->width, $stock->height, $piece->width, $piece->height], $stocks),
        );
        sort($lengths);
        foreach ($lengths as $length) {
            foreach ($stocks as $stock) {
                if ($length > $longest && self::comes($piece, $stock, new Trimmer($length, $trimmer->smallestStrip))) {
                    return new self(MissingReason::TooLong, $length - (int) $longest);
                }
            }
        }

        return new self(MissingReason::StripIsTooNarrow);
    }

    private static function one(Stock $stock, Piece $piece): Stock
    {
        $planned = Halving::planned($stock, [$piece]);

        return new Stock($planned->id, $planned->width, $planned->height, 1, '', $planned->isSheet);
    }

    private static function comes(Piece $piece, Stock $stock, Trimmer $trimmer): bool
    {
        return 0 === SmallJob::solve([$piece], [$stock], $trimmer)?->score->unplaced;
    }
}
