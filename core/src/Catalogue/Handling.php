<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

/** How a thing may be put away. */
final readonly class Handling
{
    /**
     * @param bool $mayLie whether it may be laid on its side
     * @param bool $mayRoll whether it may be rolled up, as ribbon, vellum and thin paper may
     * @param int $folds how often it may be folded in half
     */
    public function __construct(public bool $mayLie = true, public bool $mayRoll = false, public int $folds = 0)
    {
    }

    /** Returns how things of a kind may be put away (common practice, no source). */
    public static function ofKind(Kind $kind): self
    {
        return match ($kind) {
            Kind::Ink, Kind::Powder, Kind::Adhesive, Kind::Machine => new self(mayLie: false),
            Kind::Ribbon => new self(mayRoll: true, folds: 2),
            default => new self(),
        };
    }
}
