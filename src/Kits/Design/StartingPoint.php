<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Database\Row;
use Lottel\Core\Cutting\ReadyCut;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Sides;

/** Something ready-cut that a card can be made from. */
final readonly class StartingPoint
{
    /** @param string $words that open the board with it */
    private function __construct(
        public int $item,
        public string $name,
        public ?string $colour,
        public ?string $address,
        public int $free,
        public CardSize $card,
        public ?Fold $fold,
        public string $words,
        public string $paper,
    ) {
    }

    /** Returns what it is good for; null where it is no base, mat or panel of such a card. */
    public static function from(Row $row, Sides $sides, CardSize $card): ?self
    {
        $isScored = ReadyCut::saysScored($row->text('name'));
        foreach ($isScored ? [Fold::Top, Fold::Side] : [] as $fold) {
            if ($fold->flat($card->sides())->equals($sides) || $fold->flat($card->sides())->turned()->equals($sides)) {
                return self::of($row, $card, $fold, $card->value.', '.$fold->inWords());
            }
        }
        $reveals = [0 => 'panel', 508 => 'mat 1/16', 1016 => 'mat 1/8'];
        foreach ($isScored ? [] : $reveals as $reveal => $layer) {
            $within = $card->sides()->less($reveal);
            if ($within->equals($sides) || $within->turned()->equals($sides)) {
                $words = 0 === $reveal ? \sprintf('panel %s', self::size($within)) : $layer;

                return self::of($row, $card, null, $card->value.', top fold, '.$words);
            }
        }

        return null;
    }

    private static function of(Row $row, CardSize $card, ?Fold $fold, string $words): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->textOrNull('colour'),
            $row->textOrNull('address'),
            $row->int('free'),
            $card,
            $fold,
            $words,
            $row->text('paper_name'),
        );
    }

    private static function size(Sides $sides): string
    {
        return \sprintf('%.4F in × %.4F in', $sides->width / 8128, $sides->height / 8128);
    }
}
