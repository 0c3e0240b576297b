<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\TypicalSize;

/**
 * What is drawn in the place of a photo: a thing's face in its proportion, in units of which the longer side has 200. The face is
 * its two longer sides, upright, as long as its kind does not lie broad. An estimate wherever nobody has measured the thing.
 */
final readonly class StandIn
{
    public const LONGER = 200.0;
    private const NARROWEST = 0.34;

    /**
     * @param non-empty-list<Motif> $motifs
     * @param float $longer its longer side in millimetres
     */
    private function __construct(
        public Kind $kind,
        public float $width,
        public float $height,
        public array $motifs,
        public ?string $colour,
        private float $longer,
    ) {
    }

    /** @param Box|null $measured the thing itself where somebody has measured it */
    public static function of(Thing $thing, ?Box $measured = null): self
    {
        $box = $measured ?? TypicalSize::box($thing->kind);
        $sides = [$box->width->millimetres(), $box->height->millimetres(), $box->depth->millimetres()];
        rsort($sides);
        $narrow = self::isRound($thing->kind) ? self::LONGER : max(self::NARROWEST, $sides[0] > 0 ? $sides[1] / $sides[0] : 1.0) * self::LONGER;
        [$width, $height] = self::liesBroad($thing->kind) ? [self::LONGER, $narrow] : [$narrow, self::LONGER];

        return new self($thing->kind, $width, $height, Motif::of($thing->name, $thing->themes), $thing->colour, $sides[0]);
    }

    /** Returns it in another colour; null for none of its own. */
    public function coloured(?string $colour): self
    {
        return new self($this->kind, $this->width, $this->height, $this->motifs, $colour, $this->longer);
    }

    /** Returns the scale, in pixels to a millimetre, at which it is as large as may be. */
    public function scaleWithin(float $width, float $height): float
    {
        return min($width / $this->width, $height / $this->height) * self::LONGER / max(1.0, $this->longer);
    }

    /**
     * Returns its width and height in pixels at a scale, no larger than that on either side.
     *
     * @return array{float, float}
     */
    public function at(float $scale, float $most): array
    {
        $unit = min($scale * $this->longer / self::LONGER, $most / self::LONGER);

        return [$this->width * $unit, $this->height * $unit];
    }

    private static function isRound(Kind $kind): bool
    {
        return Kind::Ribbon === $kind || Kind::Adhesive === $kind;
    }

    private static function liesBroad(Kind $kind): bool
    {
        return match ($kind) {
            Kind::Machine, Kind::Envelope, Kind::Ink => true,
            default => false,
        };
    }
}
