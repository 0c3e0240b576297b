<?php

declare(strict_types=1);

namespace App\Design;

use App\Catalogue\SheetColumns;
use App\Database\Row;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\PlacedLayer;
use Lottel\Core\Design\Posting;
use Lottel\Core\Measure\Length;
use Lottel\Core\Paper\Surface;

/** About how thick a card is, from the weights of its papers. */
final readonly class ThicknessReading
{
    /** Foam as it is sold for cards (common practice, no source). */
    public const FOAM = 2 * Length::TICKS_PER_MILLIMETRE;

    /** Card whose weight nobody has said: 80 lb cover (common practice, no source). */
    private const USUAL_GSM = 216.0;

    public function __construct(private Connection $database)
    {
    }

    /** Returns it in ticks where it is thickest, an estimate. */
    public function of(Design $design): int
    {
        return $this->with($design, self::FOAM);
    }

    /** Returns it in ticks without the foam under its layers, an estimate. */
    public function withoutFoam(Design $design): int
    {
        return $this->with($design, 0);
    }

    private function with(Design $design, int $foam): int
    {
        $papers = $this->ofPapers($design->papers());
        $of = static fn (?PaperChoice $paper): int => $papers[$paper->item ?? 0] ?? self::thick(self::USUAL_GSM);
        $front = $design->front();

        return Posting::thickness(
            $design->fold,
            array_map(static fn (PlacedLayer $placed) => $placed->layer, $front),
            $of($design->paper),
            array_map(static fn (PlacedLayer $placed): int => $of($placed->layer->paper), $front),
            $foam,
        );
    }

    /**
     * @param list<int> $items
     *
     * @return array<int, int> in ticks, of those whose weight is known
     */
    private function ofPapers(array $items): array
    {
        $thick = [];
        foreach ($this->database->fetchAllAssociative('SELECT * FROM item WHERE id IN (?)', [$items], [ArrayParameterType::INTEGER]) as $columns) {
            $row = new Row($columns);
            $weight = SheetColumns::read($row)->weight;
            if (null !== $weight) {
                $thick[$row->int('id')] = self::thick($weight->gsm());
            }
        }

        return $thick;
    }

    private static function thick(float $gsm): int
    {
        return Surface::Smooth->thickness($gsm)->ticks;
    }
}
