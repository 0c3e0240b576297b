<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Thickness;

/** About how thick a card is, from what its papers weigh. */
final readonly class ThicknessReading
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array{int, int} in ticks where it is thickest, and at its edges; estimates */
    public function of(Design $design): array
    {
        $weights = $this->weights($design->papers());

        return [Thickness::of($design, $weights), Thickness::of($design, $weights, true)];
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, float> in g/m², of those that are known
     */
    private function weights(array $items): array
    {
        $weights = [];
        foreach ($this->database->fetchAllAssociative('SELECT * FROM item WHERE id IN (?)', [$items], [ArrayParameterType::INTEGER]) as $columns) {
            $row = new Row($columns);
            $weight = SheetColumns::read($row)->weight;
            if (null !== $weight) {
                $weights[$row->int('id')] = $weight->gsm();
            }
        }

        return $weights;
    }
}
