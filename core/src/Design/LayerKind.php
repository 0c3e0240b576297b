<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** What a layer of a card is. */
enum LayerKind: string
{
    case Mat = 'mat';
    case Panel = 'panel';
    case Strip = 'strip';
    case Frame = 'frame';
    case DieCut = 'die-cut';

    /** Whether the next layer lies on it; on a strip or a die-cut piece nothing lies. */
    public function carriesNext(): bool
    {
        return self::Strip !== $this && self::DieCut !== $this;
    }

    /** Whether its size follows from what it lies on, less a reveal. */
    public function hasReveal(): bool
    {
        return self::Mat === $this || self::Frame === $this;
    }
}
