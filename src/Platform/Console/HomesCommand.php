<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Upkeep\BestMoves;
use Lottel\Core\Upkeep\Living;
use Lottel\Core\Upkeep\LivingPlace;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:homes', 'Finds the few moves of things to other homes that save most time.')]
final class HomesCommand extends DocumentCommand
{
    private const MOST_MOVES = 10_000;
    private const MOST_THINGS = 50_000;
    private const MOST_PLACES = 2_000;
    private const MOST_ROOM = 1_000_000_000;
    private const MOST = 1e9;

    public function __construct(private readonly BestMoves $best = new BestMoves())
    {
        parent::__construct();
    }

    public function answer(Document $document): array
    {
        $started = hrtime(true);
        $moves = $document->get('moves')->whole(0, self::MOST_MOVES);
        [$addresses, $places] = $this->places($document->get('places'));
        [$ids, $things] = $this->things($document->get('items'), array_flip($addresses));
        $plan = $this->best->of($things, $places, $moves);

        return [
            'moves' => array_map(static fn (int $thing, int $to): array => [
                'item' => $ids[$thing],
                'from' => substr($addresses[$things[$thing]->place], 1),
                'to' => substr($addresses[$to], 1),
            ], array_keys($plan->to), $plan->to),
            'before' => $plan->before,
            'after' => $plan->after,
            'bound' => $plan->bound,
            'optimal' => $plan->isOptimal,
            'seconds' => round((hrtime(true) - $started) / 1e9, 4),
        ];
    }

    /** @return array{list<string>, list<LivingPlace>} ids, with a mark before them so that digits stay words, and places */
    private function places(Document $list): array
    {
        $entries = $this->entries($list, self::MOST_PLACES);

        return [
            array_map(static fn (Document $place): string => '='.$place->get('id')->string(), $entries),
            array_map(fn (Document $place): LivingPlace => new LivingPlace(
                $this->fromZero($place->get('seconds')),
                $place->get('room')->whole(0, self::MOST_ROOM),
            ), $entries),
        ];
    }

    /**
     * @param array<string, int> $places their numbers
     *
     * @return array{list<string>, list<Living>}
     */
    private function things(Document $list, array $places): array
    {
        $entries = $this->entries($list, self::MOST_THINGS);

        return [
            array_map(static fn (Document $thing): string => $thing->get('id')->string(), $entries),
            array_map(fn (Document $thing): Living => new Living(
                $this->place($thing->get('place'), $places),
                $this->fromZero($thing->get('uses')),
                $thing->get('size')->whole(1, self::MOST_ROOM),
                array_values(array_unique(array_map(fn (Document $place): int => $this->place($place, $places), $thing->get('may')->items()))),
            ), $entries),
        ];
    }

    /** @return list<Document> */
    private function entries(Document $list, int $most): array
    {
        $entries = $list->items();
        if (\count($entries) > $most) {
            $list->refuse(\sprintf('%s at the most.', number_format($most)));
        }
        $this->idsDiffer($entries);

        return $entries;
    }

    /** @param array<string, int> $places */
    private function place(Document $place, array $places): int
    {
        return $places['='.$place->string()] ?? $place->refuse('There is no place of that id.');
    }

    private function fromZero(Document $number): float
    {
        $value = $number->number();
        if ($value < 0 || $value > self::MOST) {
            $number->refuse('This is from 0 to a thousand million.');
        }

        return $value;
    }
}
