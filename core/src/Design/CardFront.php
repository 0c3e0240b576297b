<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** The front of a card with its layers, from the bottom up. */
final class CardFront
{
    /**
     * Returns where each layer lies on the front.
     *
     * @param list<Layer> $layers
     *
     * @return list<PlacedLayer>
     *
     * @throws InvalidDesign if a layer is larger than what it lies on or hangs over it, or a window is not inside its frame
     */
    public static function placed(Sides $finished, array $layers): array
    {
        $placed = [];
        $below = new Rect(0, 0, $finished->width, $finished->height);
        foreach ($layers as $index => $layer) {
            $one = self::place($index, $layer, $below);
            $placed[] = $one;
            $below = $layer->kind->carriesNext() ? $one->at : $below;
        }

        return $placed;
    }

    private static function place(int $index, Layer $layer, Rect $below): PlacedLayer
    {
        $field = 'layers['.$index.']';
        $size = self::sizeOf($layer, $below, $field);
        if ($size->isNothing()) {
            throw InvalidDesign::empty($field.'.size', ucfirst($layer->name));
        }
        if (!$size->isWithin($below->sides())) {
            throw InvalidDesign::largerThanBelow($field, $layer->name);
        }
        $middle = $below->middle($size);
        $at = Rect::at(null === $layer->x ? $middle->x : $below->x + $layer->x, null === $layer->y ? $middle->y : $below->y + $layer->y, $size);
        if (!$at->isWithin($below)) {
            throw InvalidDesign::hangsOver($field.($at->right() > $below->right() || $at->x < $below->x ? '.x' : '.y'), $layer->name);
        }

        return new PlacedLayer($index, $layer, $at, self::windowOf($layer, $at, $field));
    }

    private static function sizeOf(Layer $layer, Rect $below, string $field): Sides
    {
        if (null !== $layer->size) {
            return $layer->size;
        }
        $left = $below->sides()->less($layer->reveal ?? 0);

        return $left->isNothing() ? throw InvalidDesign::revealTakesAll($field.'.reveal', $layer->name) : $left;
    }

    private static function windowOf(Layer $layer, Rect $at, string $field): ?Rect
    {
        $window = $layer->window;
        if (null === $window) {
            return null;
        }
        if ($window->isNothing() || $window->width >= $at->width || $window->height >= $at->height) {
            throw InvalidDesign::windowOutside($field.'.window', $layer->name);
        }

        return $at->middle($window);
    }
}
