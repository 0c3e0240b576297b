<?php

declare(strict_types=1);

namespace App\Stores;

use Lottel\Core\Room\Elevation;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Contracts\Cache\CacheInterface;

/** Draws the room's units in elevation as SVG. Colours and dashes come from classes; states have shapes of their own. */
final class RoomDrawing
{
    private const WIDTH = 336.0;
    private const MARGIN = 10.0;

    private readonly string $placeUrl;

    /** @var list<FrontMark> */
    private array $marks = [];

    public function __construct(private readonly RoomReading $room, private readonly UrlGeneratorInterface $urls, private readonly CacheInterface $cache)
    {
        $this->placeUrl = substr($urls->generate('place', ['address' => 'A']), 0, -1);
    }

    /** @param array<int, string> $lit what is written on a lit place's disc, by place; empty text lights it without a disc */
    public function room(array $lit = []): string
    {
        /** @var array{list<string>, list<FrontMark>} $drawn */
        $drawn = $this->cache->get('room-'.$this->room->version(), $this->marked(...));

        return $this->filled($drawn[0], $drawn[1], $lit);
    }

    public function unit(int $unitId, float $width = 520, float $height = 420): string
    {
        $unit = $this->room->units()[$unitId];
        $scale = min($width / $unit->width->ticks, $height / $unit->height->ticks);
        $this->marks = [];
        $box = $this->box($unit, $this->fronts()[$unitId] ?? [], 0, 0, $scale, 14);

        return $this->filled(self::parts($this->svg($box, $unit->width->ticks * $scale, $unit->height->ticks * $scale, $unit->name)), $this->marks, []);
    }

    /** @return array{list<string>, list<FrontMark>} the drawing in parts, and the fronts that come between them */
    private function marked(): array
    {
        $this->marks = [];
        $parts = self::parts($this->drawn());

        return [$parts, $this->marks];
    }

    private function drawn(): string
    {
        $units = $this->room->units();
        $fronts = $this->fronts();
        $y = 0.0;
        $svg = '';
        foreach ((new Elevation(self::WIDTH))->rows($this->outlines($units, $fronts)) as $row) {
            $y += 16;
            foreach ($row['units'] as $box) {
                $unit = $units[$box['id']];
                $svg .= $this->title($unit, $box['x'], $y + $row['height'] - $box['height'] - 5, $box['width']);
                $svg .= $this->box($unit, $fronts[$box['id']] ?? [], $box['x'], $y + $box['y'], $row['scale'], 9.5);
            }
            $y += $row['height'];
            $svg .= \sprintf(
                '<rect class="floor" x="0" y="%.1f" width="%.1f" height="4"/><text class="wall" x="%.1f" y="%.1f">%s</text>',
                $y + 2,
                self::WIDTH,
                self::WIDTH / 2,
                $y + 17,
                self::escape($row['wall']),
            );
            $y += 26;
        }

        return $this->svg($svg, self::WIDTH, max(20, $y), 'The storage units of the room');
    }

    /** @return list<string> of which every second one is the number of a mark */
    private static function parts(string $svg): array
    {
        return preg_split('/\x01(\d+)\x02/', $svg, -1, \PREG_SPLIT_DELIM_CAPTURE) ?: [$svg];
    }

    /**
     * Puts the fronts in, with what is out and lit.
     *
     * @param list<string> $parts
     * @param list<FrontMark> $marks
     * @param array<int, string> $lit
     */
    private function filled(array $parts, array $marks, array $lit): string
    {
        $out = $this->room->outByFront();
        $svg = $discs = '';
        foreach ($parts as $at => $part) {
            if (0 === $at % 2) {
                $svg .= $part;
                continue;
            }
            $mark = $marks[(int) $part];
            $text = $lit[$mark->id] ?? null;
            $svg .= $mark->drawn($out[$mark->id] ?? 0, null !== $text);
            $discs .= null === $text || '' === $text ? '' : $mark->disc($text);
        }

        return str_replace('</svg>', $discs.'</svg>', $svg);
    }

    private function svg(string $inside, float $width, float $height, string $title): string
    {
        return \sprintf(
            '<svg class="elevation" role="group" aria-label="%s" viewBox="%.1f %.1f %.1f %.1f" width="%.0f" height="%.0f">%s</svg>',
            self::escape($title),
            -self::MARGIN,
            -self::MARGIN,
            $width + 2 * self::MARGIN,
            $height + 2 * self::MARGIN,
            $width + 2 * self::MARGIN,
            $height + 2 * self::MARGIN,
            $inside,
        );
    }

    /** @return array<int, list<FrontRow>> the places with a front, by unit */
    private function fronts(): array
    {
        $fronts = [];
        foreach ($this->room->places() as $place) {
            if (null !== $place->front) {
                $fronts[$place->unitId][] = $place;
            }
        }

        return $fronts;
    }

    /**
     * @param array<int, UnitRow> $units
     * @param array<int, list<FrontRow>> $fronts
     *
     * @return list<array{id: int, wall: string, width: int, height: int, lowest: int}>
     */
    private function outlines(array $units, array $fronts): array
    {
        $outlines = [];
        foreach ($units as $unit) {
            $lowest = $unit->height->ticks;
            foreach ($fronts[$unit->id] ?? [] as $place) {
                $lowest = min($lowest, $place->front->height->ticks ?? $lowest);
            }
            $outlines[] = ['id' => $unit->id, 'wall' => $unit->wall, 'width' => $unit->width->ticks, 'height' => $unit->height->ticks, 'lowest' => $lowest];
        }

        return $outlines;
    }

    private function title(UnitRow $unit, float $x, float $y, float $width): string
    {
        $most = (int) ($width / 5.6) - 4;
        $shown = mb_strlen($unit->name) <= $most ? $unit->name : ($most > 4 ? rtrim(mb_substr($unit->name, 0, $most - 1)).'…' : '');

        return \sprintf(
            '<a class="unit-name" href="%s"><title>%s · %s</title><text aria-hidden="true" x="%.1f" y="%.1f">%s%s</text></a>',
            self::escape($this->urls->generate('unit', ['letters' => $unit->letters])),
            self::escape($unit->letters),
            self::escape($unit->name),
            $x + $width / 2,
            $y,
            self::escape($unit->letters),
            '' === $shown ? '' : ' · '.self::escape($shown),
        );
    }

    /**
     * A unit with a mark in the place of each front, which is put in when it is known what is out and what is lit.
     *
     * @param list<FrontRow> $fronts
     */
    private function box(UnitRow $unit, array $fronts, float $x, float $y, float $scale, float $font): string
    {
        $svg = \sprintf(
            '<rect class="carcase" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2.5"/>',
            $x,
            $y,
            $unit->width->ticks * $scale,
            $unit->height->ticks * $scale,
        );
        foreach ($fronts as $place) {
            if (null === $place->front) {
                continue;
            }
            $left = $x + $place->front->x->ticks * $scale + 1;
            $top = $y + $place->front->y->ticks * $scale + 1;
            $this->marks[] = $this->mark($place, $left, $top, $place->front->width->ticks * $scale - 2, $place->front->height->ticks * $scale - 2, $font);
            $svg .= "\x01".array_key_last($this->marks)."\x02";
        }

        return $svg;
    }

    private function mark(FrontRow $place, float $left, float $top, float $width, float $height, float $font): FrontMark
    {
        $disc = \sprintf('%.1f %.1f', $left + $width - 3, $top + 2);

        return new FrontMark(
            $place->id,
            \sprintf(
                'href="%s" data-address="%s" data-place="%d" data-disc="%s"',
                self::escape($this->placeUrl.rawurlencode($place->address)),
                self::escape($place->address),
                $place->id,
                $disc,
            ),
            self::escape($place->address.' · '.$place->title),
            \sprintf('<rect class="front" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1.5"/>', $left, $top, $width, $height),
            \sprintf(
                '<rect class="gap" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1.5"/>',
                $left + 1.5,
                $top + 1.5,
                max(1, $width - 3),
                max(1, $height - 3),
            ),
            $this->label($place->address, $left, $top, $width, $height, max(8.0, min($font, $height - 3))),
            $disc,
        );
    }

    private function label(string $address, float $left, float $top, float $width, float $height, float $font): string
    {
        $plate = \strlen($address) * $font * 0.62 + 6;
        if ($plate > $width - 2 || $font + 2 > $height) {
            return '';
        }

        return \sprintf(
            '<rect class="label" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1"/>'
            .'<text class="address" aria-hidden="true" x="%.1f" y="%.1f" font-size="%.1f">%s</text>',
            $left + ($width - $plate) / 2,
            $top + ($height - $font - 2) / 2,
            $plate,
            $font + 2,
            $left + $width / 2,
            $top + $height / 2 + $font * 0.33,
            $font,
            self::escape($address),
        );
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
    }
}
