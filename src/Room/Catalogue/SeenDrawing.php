<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\Svg;
use Lottel\Core\Picture\InvalidSpot;
use Lottel\Core\Picture\Spot;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws photos of open places: what was touched on them, what lies where, and one thing cut out. */
final readonly class SeenDrawing
{
    private const WIDTH = 1000;
    private const THUMB = 44;
    private const NUMBER = 34;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    /**
     * What was touched, with its number, over the photo.
     *
     * @param list<Mark> $marks
     */
    public function marks(PlacePhoto $photo, array $marks): string
    {
        $depth = self::depth($photo);
        $svg = '';
        foreach ($photo->things as $thing) {
            $svg .= \sprintf('<rect class="mark before" x="%d" y="%d" width="%d" height="%d" rx="6"/>', ...self::box($thing->spot, $depth));
        }
        foreach ($marks as $nth => $mark) {
            $spot = self::spot($mark->spot);
            if (null !== $spot) {
                [$x, $y, $width, $height] = self::box($spot, $depth);
                $svg .= \sprintf('<rect class="mark" x="%d" y="%d" width="%d" height="%d" rx="6"/>', $x, $y, $width, $height)
                    .\sprintf('<circle class="mark-ground" cx="%d" cy="%d" r="%d"/>', $x + self::NUMBER / 2, $y + self::NUMBER / 2, self::NUMBER * 0.7)
                    .\sprintf('<text class="mark-said" x="%d" y="%d">%d</text>', $x + self::NUMBER / 2, $y + self::NUMBER * 0.86, $nth + 1);
            }
        }

        return \sprintf(
            '<svg class="marks-drawn" viewBox="0 0 %d %d" aria-hidden="true">%s<rect class="mark drawn-now" hidden/></svg>',
            self::WIDTH,
            $depth,
            $svg,
        );
    }

    /** The photo of a place with a link on each of its things; those that one looks for are lit. */
    public function place(PlacePhoto $photo, string $says, bool $isLit = false): string
    {
        $depth = self::depth($photo);
        $svg = \sprintf('<image href="%s" width="%d" height="%d"/>', $this->url($photo), self::WIDTH, $depth);
        foreach ($photo->things as $thing) {
            [$x, $y, $width, $height] = self::box($thing->spot, $depth);
            $svg .= \sprintf(
                '<a href="%s" class="seen-thing%s"><title>%s</title><rect x="%d" y="%d" width="%d" height="%d" rx="6"/></a>',
                Svg::escape($this->urls->generate('item', ['id' => $thing->id])),
                ($isLit ? ' lit' : '').($thing->isOut ? ' is-out' : ''),
                Svg::escape($thing->name.($thing->isOut ? ', not here now' : '')),
                $x,
                $y,
                $width,
                $height,
            );
        }

        return \sprintf('<svg class="seen-place" viewBox="0 0 %d %d" role="group" aria-label="%s">%s</svg>', self::WIDTH, $depth, Svg::escape($says), $svg);
    }

    /** One thing of a photo, small; nothing where its spot cannot be read. */
    public function cutOut(PlacePhoto $photo, Spot|string $at): string
    {
        $spot = $at instanceof Spot ? $at : self::spot($at);
        if (null === $spot) {
            return '';
        }
        $depth = self::depth($photo);
        [$x, $y, $width, $height] = self::box($spot, $depth);

        return \sprintf(
            '<svg class="cut-out" width="%1$d" height="%1$d" viewBox="%2$d %3$d %4$d %5$d" aria-hidden="true">'
            .'<image href="%6$s" width="%7$d" height="%8$d"/></svg>',
            self::THUMB,
            $x,
            $y,
            $width,
            $height,
            $this->url($photo),
            self::WIDTH,
            $depth,
        );
    }

    private function url(PlacePhoto $photo): string
    {
        return Svg::escape($this->urls->generate('place_photo', ['address' => $photo->address]).'?v='.substr($photo->photo, 0, 8));
    }

    private static function depth(PlacePhoto $photo): int
    {
        return max(1, (int) round(self::WIDTH * $photo->height / $photo->width));
    }

    /** @return array{int, int, int, int} */
    private static function box(Spot $spot, int $depth): array
    {
        $down = static fn (int $part): int => max(1, intdiv($part * $depth, Spot::WHOLE));

        return [$spot->x, intdiv($spot->y * $depth, Spot::WHOLE), $spot->width, $down($spot->height)];
    }

    private static function spot(string $text): ?Spot
    {
        try {
            return Spot::parse($text);
        } catch (InvalidSpot) {
            return null;
        }
    }
}
