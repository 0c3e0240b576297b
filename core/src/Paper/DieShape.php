<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/** The shape that a die cuts, as far as its words tell. */
enum DieShape: string
{
    case Circle = 'circle';
    case Oval = 'oval';
    case Square = 'square';
    case Rectangle = 'rectangle';
    case Hexagon = 'hexagon';
    case Star = 'star';
    case Heart = 'heart';
    case Tag = 'tag';
    case Scallop = 'scallop';

    /** Returns the first shape that some words speak of, in the singular or the plural; null where they speak of none. */
    public static function in(string $words): ?self
    {
        foreach (preg_split('/[^\p{L}]+/u', mb_strtolower($words), -1, \PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $shape = self::tryFrom($word) ?? self::tryFrom(rtrim($word, 's'));
            if (null !== $shape) {
                return $shape;
            }
        }

        return null;
    }
}
