<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Length;
use Lottel\Core\Paper\Surface;

/** About how thick a card is, from the weights of its papers. */
final class Thickness
{
    /** Foam as it is sold for cards (common practice, no source). */
    private const FOAM = 2 * Length::TICKS_PER_MILLIMETRE;

    /** Card whose weight nobody has said: 80 lb cover (common practice, no source). */
    private const USUAL_GSM = 216.0;

    /**
     * Returns it in ticks, an estimate: where it is thickest, or at its edges, where no foam is.
     *
     * @param array<int, float> $weights of papers in g/m², by the papers' items, those that are known
     */
    public static function of(Design $design, array $weights, bool $atEdges = false): int
    {
        $thick = static fn (?PaperChoice $paper): int => Surface::Smooth->thickness($weights[$paper->item ?? 0] ?? self::USUAL_GSM)->ticks;
        $front = $design->front();

        return Posting::thickness(
            $design->fold,
            array_map(static fn (PlacedLayer $placed): Layer => $placed->layer, $front),
            $thick($design->paper),
            array_map(static fn (PlacedLayer $placed): int => $thick($placed->layer->paper), $front),
            $atEdges ? 0 : self::FOAM,
        );
    }
}
