<?php

declare(strict_types=1);

namespace App\Kits\Design;

use Lottel\Core\Design\Block;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\ListedPiece;
use Lottel\Core\Design\PaperChoice;

/** A part of a design with its paper, and where its pieces come from. */
final readonly class BoardRow
{
    /**
     * @param string $part as DesignPiece names it; of a block its own, also where only its mats are cut
     * @param list<BoardRow> $mats of a block, from the one right behind it outwards
     */
    public function __construct(
        public string $part,
        public string $name,
        public Layer|Block|ListedPiece|null $of,
        public ?DesignPiece $piece,
        public ?PaperChoice $choice,
        public ?PaperOnBoard $paper,
        public ?PieceSource $source,
        public bool $isTooLarge = false,
        public array $mats = [],
    ) {
    }

    public function isLayer(): bool
    {
        return $this->of instanceof Layer;
    }

    public function isBlock(): bool
    {
        return $this->of instanceof Block;
    }

    public function isListed(): bool
    {
        return $this->of instanceof ListedPiece;
    }

    /** Whether nobody has said of which paper it is cut. */
    public function wantsPaper(): bool
    {
        return null !== $this->piece && null === $this->choice;
    }

    /** Whether the paper that it was to be cut from is not in the room any more. */
    public function isPaperGone(): bool
    {
        return null !== $this->choice && (null === $this->paper || $this->paper->isGone);
    }

    /** For how many of it there is no paper. */
    public function lacking(): int
    {
        return $this->source->lacking ?? 0;
    }

    public function isShort(): bool
    {
        return $this->wantsPaper() || $this->isPaperGone() || $this->lacking() > 0;
    }
}
