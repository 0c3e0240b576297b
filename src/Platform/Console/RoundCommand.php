<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Round\FloorPlan;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundPlanner;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:round', 'Plans a round past stops on a floor plan with obstacles.')]
final class RoundCommand extends DocumentCommand
{
    private const MOST_STOPS = 150;
    private const MOST_OBSTACLES = 40;

    public function answer(Document $document): array
    {
        $started = hrtime(true);
        $start = $this->point($document->get('start'));
        $end = $document->get('end')->isNull() ? null : $this->point($document->get('end'));
        [$ids, $points] = $this->stops($document->get('stops'));
        $plan = new FloorPlan($document->has('obstacles') ? $this->obstacles($document->get('obstacles')) : []);
        $this->checkFree($document, $plan, $start, $end, $points);
        $distances = $plan->distances([$start, ...$points, ...(null === $end ? [] : [$end])]);
        $this->checkReachable($document, $distances, \count($points));
        $round = (new RoundPlanner())->plan($distances, \count($points));

        return [
            'order' => array_map(static fn (int $stop): string => $ids[$stop], $round->order),
            'length' => $round->length,
            'lower_bound' => $round->lowerBound,
            'optimal' => $round->isOptimal,
            'seconds' => round((hrtime(true) - $started) / 1e9, 4),
        ];
    }

    private function point(Document $point): Point
    {
        $point->object();

        return new Point($point->get('x')->length()->value(), $point->get('y')->length()->value());
    }

    /** @return array{list<string>, list<Point>} */
    private function stops(Document $stops): array
    {
        $ids = $points = [];
        $seen = [];
        foreach ($stops->items() as $stop) {
            $id = $stop->object()->get('id')->string();
            if (isset($seen['='.$id])) {
                $stop->get('id')->refuse('Another stop has this id already.');
            }
            $seen['='.$id] = true;
            $ids[] = $id;
            $points[] = $this->point($stop);
        }
        if (\count($ids) > self::MOST_STOPS) {
            $stops->refuse(\sprintf('A round has %d stops at the most.', self::MOST_STOPS));
        }

        return [$ids, $points];
    }

    /** @return list<Obstacle> */
    private function obstacles(Document $obstacles): array
    {
        $list = array_map(static fn (Document $one): Obstacle => new Obstacle(
            $one->object()->get('x')->length()->value(),
            $one->get('y')->length()->value(),
            $one->get('w')->positiveLength()->value(),
            $one->get('h')->positiveLength()->value(),
        ), $obstacles->items());
        if (\count($list) > self::MOST_OBSTACLES) {
            $obstacles->refuse(\sprintf('A floor plan has %d obstacles at the most.', self::MOST_OBSTACLES));
        }

        return $list;
    }

    /** @param list<Point> $points */
    private function checkFree(Document $document, FloorPlan $plan, Point $start, ?Point $end, array $points): void
    {
        if (!$plan->isFree($start)) {
            $document->get('start')->refuse('The start is inside an obstacle.');
        }
        if (null !== $end && !$plan->isFree($end)) {
            $document->get('end')->refuse('The end is inside an obstacle.');
        }
        foreach ($points as $index => $point) {
            if (!$plan->isFree($point)) {
                $document->get('stops')->items()[$index]->refuse('This stop is inside an obstacle.');
            }
        }
    }

    /** @param list<list<float>> $distances */
    private function checkReachable(Document $document, array $distances, int $stops): void
    {
        for ($stop = 1; $stop <= $stops; ++$stop) {
            if (is_infinite($distances[0][$stop])) {
                $document->get('stops')->items()[$stop - 1]->refuse('There is no way to this stop.');
            }
        }
        if (isset($distances[0][$stops + 1]) && is_infinite($distances[0][$stops + 1])) {
            $document->get('end')->refuse('There is no way to the end.');
        }
    }
}
