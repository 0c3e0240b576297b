<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** The stacks of paper that can be weighed, place after place. */
final readonly class WeighReading
{
    private const MOST = 300;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<StackRow> */
    public function stacks(): array
    {
        return $this->read('', []);
    }

    /** @return list<StackRow> those in one place */
    public function stacksIn(int $place): array
    {
        return $this->read('AND b.place_id = ?', [$place]);
    }

    /**
     * @param list<int> $asked
     *
     * @return list<StackRow>
     */
    private function read(string $only, array $asked): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity AS stored, b.place_id, p.address, 0 AS wished FROM item i JOIN balance b ON b.item_id = i.id
             JOIN place p ON p.id = b.place_id AND p.nature IN ('storage', 'unfiled')
             WHERE i.removed_at IS NULL AND i.kind IN ('paper', 'envelope', 'part-finished') AND i.tracking = 'count' $only
             ORDER BY length(p.address), p.address, i.name LIMIT ".self::MOST,
            $asked,
        );

        return Row::each($rows, StackRow::of(...));
    }

    /**
     * Returns the stack that is asked for, else the first.
     *
     * @param list<StackRow> $stacks
     */
    public static function chosen(array $stacks, int $paper, int $place): ?StackRow
    {
        foreach ($stacks as $stack) {
            if ($stack->paper->id === $paper && (0 === $place || $stack->placeId === $place)) {
                return $stack;
            }
        }

        return $stacks[0] ?? null;
    }

    /**
     * Returns what the address of the page says of the stack that comes after one; of the first, where that was the last.
     *
     * @return array{paper?: int, place?: int}
     */
    public function after(int $paper, int $place): array
    {
        $stacks = $this->stacks();
        foreach ($stacks as $nth => $stack) {
            if ($stack->paper->id === $paper && $stack->placeId === $place) {
                $next = $stacks[$nth + 1] ?? $stacks[0];

                return ['paper' => $next->paper->id, 'place' => $next->placeId];
            }
        }

        return [];
    }
}
