<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Paper\Outline;

/** How a piece lies in a scrap or sheet, and what cutting it out leaves. Lengths as in Piece. */
final readonly class PieceInScrap
{
    /**
     * @param list<SheetPart> $kept offcuts that are worth keeping, the largest first
     * @param list<SheetPart> $waste
     * @param int $cuts how many cuts it takes; of an outline it is not known
     */
    private function __construct(
        public float $x,
        public float $y,
        public int $width,
        public int $height,
        public array $kept,
        public array $waste,
        public ?int $cuts,
    ) {
    }

    /** @throws \LogicException if it does not lie in it so */
    public static function of(Scrap $scrap, WantedPiece $piece, bool $isTurned, Keep $keep): self
    {
        [$width, $height] = $piece->sides($isTurned);

        return null === $scrap->outline ? self::inRectangle($scrap, $width, $height, $keep) : self::inOutline($scrap->outline, $width, $height);
    }

    private static function inRectangle(Scrap $scrap, int $width, int $height, Keep $keep): self
    {
        $root = new SheetPart(0, 0, $scrap->width, $scrap->height);
        $made = (new Carver(new Trimmer()))->trim($root, $width, $height) ?? throw new \LogicException('The piece does not lie in it so.');
        $offcuts = array_values(array_filter($root->leaves(), static fn (SheetPart $leaf): bool => $leaf !== $made));
        usort($offcuts, static fn (SheetPart $a, SheetPart $b): int => $b->area() <=> $a->area());
        $isKept = static fn (SheetPart $part): bool => $keep->isWorth($part->width, $part->height);

        return new self(
            0,
            0,
            $width,
            $height,
            array_values(array_filter($offcuts, $isKept)),
            array_values(array_filter($offcuts, static fn (SheetPart $part): bool => !$isKept($part))),
            $root->cuts(),
        );
    }

    private static function inOutline(Outline $outline, int $width, int $height): self
    {
        $corner = (new OutlineFit($outline, $width, $height))->corner() ?? throw new \LogicException('The piece does not lie in it so.');

        return new self($corner->x / $corner->of, $corner->y / $corner->of, $width, $height, [], [], null);
    }
}
