<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** A card: its finished size, its fold, and what lies on its front from the bottom up. */
final readonly class CardDesign
{
    /** @param list<Layer> $layers */
    public function __construct(public Size $finished, public Fold $fold, public array $layers = [])
    {
    }

    /**
     * Returns the pieces to cut, the base first.
     *
     * @return list<CardPiece>
     *
     * @throws InvalidDesign if a side is nothing, a layer is larger than what it lies on, or a window is outside its panel
     */
    public function pieces(): array
    {
        foreach (['finished.width' => $this->finished->width, 'finished.height' => $this->finished->height] as $field => $side) {
            if (0 === $side->ticks) {
                throw InvalidDesign::empty($field);
            }
        }
        $pieces = [new CardPiece('base', $this->fold->flat($this->finished), $this->fold->scores($this->finished))];
        $below = $this->finished;
        foreach ($this->layers as $index => $layer) {
            $size = $this->sizeOf($layer, $below, 'layers['.$index.']');
            $pieces[] = new CardPiece($layer->name, $size, [], $layer->window);
            $below = $layer->carriesNext ? $size : $below;
        }

        return $pieces;
    }

    /**
     * Returns how thick the folded card is.
     *
     * @param Length $base thickness of the base's paper
     * @param list<Length> $layers thickness of each layer's paper, in their order
     * @param Length $foam thickness of the foam under a layer that stands on it
     */
    public function thickness(Length $base, array $layers, Length $foam): Length
    {
        $ticks = $this->fold->thicknesses() * $base->ticks;
        foreach ($this->layers as $index => $layer) {
            $ticks += ($layers[$index] ?? $base)->ticks + ($layer->isOnFoam ? $foam->ticks : 0);
        }

        return Length::ofTicks($ticks);
    }

    private function sizeOf(Layer $layer, Size $below, string $field): Size
    {
        $size = $layer->size ?? $this->less($below, $layer->reveal ?? Length::ofTicks(0), $field);
        if (0 === $size->width->ticks || 0 === $size->height->ticks) {
            throw InvalidDesign::empty($field.'.size');
        }
        if (!$size->isWithin($below)) {
            throw InvalidDesign::largerThanBelow($field.'.size');
        }
        $window = $layer->window;
        if (
            null !== $window
            && ($window->width->ticks >= $size->width->ticks
                || $window->height->ticks >= $size->height->ticks
                || 0 === $window->width->ticks
                || 0 === $window->height->ticks)
        ) {
            throw InvalidDesign::windowOutside($field.'.window');
        }

        return $size;
    }

    private function less(Size $below, Length $reveal, string $field): Size
    {
        if (2 * $reveal->ticks >= min($below->width->ticks, $below->height->ticks)) {
            throw InvalidDesign::revealTakesAll($field.'.reveal');
        }

        return Size::ofTicks($below->width->ticks - 2 * $reveal->ticks, $below->height->ticks - 2 * $reveal->ticks);
    }
}
