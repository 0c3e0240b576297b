<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Room\Catalogue\ItemReading;
use Lottel\Core\Upkeep\Better\Exchange;
use Lottel\Core\Upkeep\Better\HomesPlan;

/** A plan of better homes as a page shows it: slips, and arrows in the room with the same letters. */
final readonly class SlipsOfPlan
{
    public function __construct(private ItemReading $items)
    {
    }

    /** @return list<ExchangeSlip> */
    public function of(HomesPlan $plan): array
    {
        $things = [];
        foreach ($this->items->lines(array_map(static fn ($move): int => $move->household->things[0]->id, $plan->moves())) as $thing) {
            $things[$thing->id] = $thing;
        }
        $nth = 0;

        return array_map(static function (Exchange $exchange) use ($things, &$nth): ExchangeSlip {
            $moves = [];
            foreach ($exchange->moves as $move) {
                $moves[] = new MoveSlip(self::letter($nth++), $move, $things[$move->household->things[0]->id]);
            }

            return new ExchangeSlip(BeginRehoming::key($exchange), $exchange, $moves);
        }, $plan->exchanges);
    }

    /**
     * @param list<ExchangeSlip> $slips
     *
     * @return list<array{int, int, string}> from which place to which, with the letter
     */
    public static function arrows(array $slips): array
    {
        $arrows = [];
        foreach ($slips as $slip) {
            foreach ($slip->moves as $move) {
                $arrows[] = [$move->move->from->id, $move->move->to->id, $move->letter];
            }
        }

        return $arrows;
    }

    private static function letter(int $nth): string
    {
        return ($nth >= 26 ? \chr(96 + intdiv($nth, 26)) : '').\chr(97 + $nth % 26);
    }
}
