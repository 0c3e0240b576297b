<?php

declare(strict_types=1);

namespace App\Stores;

use Lottel\Core\Room\Elevation;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Contracts\Cache\CacheInterface;

/** Draws the room's units in elevation as SVG. Colours and dashes come from classes; states have shapes of their own. */
final class RoomDrawing
{
    private readonly string $placeUrl;

    /** @var list<array{id: int, address: string, url: string, says: string, front: string, gap: string, label: string, x: float, y: float}> */
    private array $marks = [];

    private const WIDTH = 336.0;
    private const MARGIN = 10.0;

    public function __construct(private readonly RoomReading $room, private readonly UrlGeneratorInterface $urls, private readonly CacheInterface $cache)
    {
        $this->placeUrl = substr($urls->generate('place', ['address' => 'A']), 0, -1);
    }

    /** @param array<int, string> $lit what is written on a lit place's disc, by place; empty text lights it without a disc */
    public function room(array $lit = []): string
    {
        $units = $this->room->units();
        $places = $this->room->places();
        /** @var array{list<string>, array<int, array{id: int, address: string, url: string, says: string, front: string, gap: string, label: string, x: float, y: float}>} $drawn */
        $drawn = $this->cache->get('room-'.md5(serialize([$units, $places])), function () use ($units): array {
            $this->marks = [];
            $svg = $this->drawn($units);

            return [preg_split('/\x01(\d+)\x02/', $svg, -1, \PREG_SPLIT_DELIM_CAPTURE) ?: [$svg], $this->marks];
        });
        [$parts, $marks] = $drawn;

        return $this->filled($parts, $marks, $lit);
    }

    /** @param array<int, array<string, mixed>> $units */
    private function drawn(array $units): string
    {
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
            $svg .= \sprintf('<rect class="floor" x="0" y="%.1f" width="%.1f" height="4"/><text class="wall" x="%.1f" y="%.1f">%s</text>', $y + 2, self::WIDTH, self::WIDTH / 2, $y + 17, self::escape($row['wall']));
            $y += 26;
        }

        return $this->svg($svg, self::WIDTH, max(20, $y), 'The storage units of the room');
    }

    public function unit(int $unitId, float $width = 520, float $height = 420): string
    {
        $unit = $this->room->units()[$unitId];
        $fronts = $this->fronts()[$unitId] ?? [];
        $scale = min($width / (int) $unit['width'], $height / (int) $unit['height']);
        $this->marks = [];
        $svg = $this->svg($this->box($unit, $fronts, 0, 0, $scale, 14), (int) $unit['width'] * $scale, (int) $unit['height'] * $scale, (string) $unit['name']);

        return $this->filled(preg_split('/\x01(\d+)\x02/', $svg, -1, \PREG_SPLIT_DELIM_CAPTURE) ?: [$svg], $this->marks, []);
    }

    /**
     * Puts the fronts in, with what is out and lit.
     *
     * @param list<string> $parts of the drawing, every second one the number of a mark
     * @param array<int, array{id: int, address: string, url: string, says: string, front: string, gap: string, label: string, x: float, y: float}> $marks
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
            $id = $mark['id'];
            $svg .= $this->place($mark, $out[$id] ?? 0, isset($lit[$id]));
            $discs .= '' === ($lit[$id] ?? '') ? '' : \sprintf('<g class="disc" aria-hidden="true"><circle cx="%1$.1f" cy="%2$.1f" r="9"/><text x="%1$.1f" y="%3$.1f">%4$s</text></g>', $mark['x'], $mark['y'], $mark['y'] + 4, self::escape($lit[$id]));
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

    /** @return array<int, list<array<string, mixed>>> the places with a front, by unit */
    private function fronts(): array
    {
        $fronts = [];
        foreach ($this->room->places() as $place) {
            if (null !== $place['front_x']) {
                $fronts[(int) $place['unit_id']][] = $place;
            }
        }

        return $fronts;
    }

    /**
     * @param array<int, array<string, mixed>> $units
     * @param array<int, list<array<string, mixed>>> $fronts
     *
     * @return list<array{id: int, wall: string, width: int, height: int, lowest: int}>
     */
    private function outlines(array $units, array $fronts): array
    {
        $outlines = [];
        foreach ($units as $id => $unit) {
            $heights = array_map(intval(...), array_column($fronts[$id] ?? [], 'front_height'));
            $outlines[] = ['id' => (int) $id, 'wall' => (string) $unit['wall'], 'width' => (int) $unit['width'], 'height' => (int) $unit['height'], 'lowest' => [] === $heights ? (int) $unit['height'] : min($heights)];
        }

        return $outlines;
    }

    /** @param array<string, mixed> $unit */
    private function title(array $unit, float $x, float $y, float $width): string
    {
        $most = (int) ($width / 5.6) - 4;
        $name = (string) $unit['name'];
        $shown = mb_strlen($name) <= $most ? $name : ($most > 4 ? rtrim(mb_substr($name, 0, $most - 1)).'…' : '');

        return \sprintf(
            '<a class="unit-name" href="%s"><title>%s · %s</title><text aria-hidden="true" x="%.1f" y="%.1f">%s%s</text></a>',
            self::escape($this->urls->generate('unit', ['letters' => $unit['letters']])),
            self::escape((string) $unit['letters']),
            self::escape($name),
            $x + $width / 2,
            $y,
            self::escape((string) $unit['letters']),
            '' === $shown ? '' : ' · '.self::escape($shown),
        );
    }

    /**
     * A unit with a mark in the place of each front, which is put in when it is known what is out and what is lit.
     *
     * @param array<string, mixed> $unit
     * @param list<array<string, mixed>> $fronts
     */
    private function box(array $unit, array $fronts, float $x, float $y, float $scale, float $font): string
    {
        $svg = \sprintf('<rect class="carcase" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2.5"/>', $x, $y, (int) $unit['width'] * $scale, (int) $unit['height'] * $scale);
        foreach ($fronts as $place) {
            $left = $x + (int) $place['front_x'] * $scale + 1;
            $top = $y + (int) $place['front_y'] * $scale + 1;
            $this->marks[] = $this->front($place, $left, $top, (int) $place['front_width'] * $scale - 2, (int) $place['front_height'] * $scale - 2, $font);
            $svg .= "\x01".array_key_last($this->marks)."\x02";
        }

        return $svg;
    }

    /**
     * @param array<string, mixed> $place
     *
     * @return array{id: int, address: string, url: string, says: string, front: string, gap: string, label: string, x: float, y: float}
     */
    private function front(array $place, float $left, float $top, float $width, float $height, float $font): array
    {
        $address = (string) $place['address'];
        $font = max(8.0, min($font, $height - 3));
        $plate = \strlen($address) * $font * 0.62 + 6;
        $label = $plate > $width - 2 || $font + 2 > $height ? '' : \sprintf(
            '<rect class="label" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1"/><text class="address" aria-hidden="true" x="%.1f" y="%.1f" font-size="%.1f">%s</text>',
            $left + ($width - $plate) / 2,
            $top + ($height - $font - 2) / 2,
            $plate,
            $font + 2,
            $left + $width / 2,
            $top + $height / 2 + $font * 0.33,
            $font,
            self::escape($address),
        );

        return [
            'id' => (int) $place['id'],
            'address' => self::escape($address),
            'url' => self::escape($this->placeUrl.rawurlencode($address)),
            'says' => self::escape($address.' · '.('' === $place['name'] ? $place['kind'] : $place['name'])),
            'front' => \sprintf('<rect class="front" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1.5"/>', $left, $top, $width, $height),
            'gap' => \sprintf('<rect class="gap" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1.5"/>', $left + 1.5, $top + 1.5, max(1, $width - 3), max(1, $height - 3)),
            'label' => $label,
            'x' => $left + $width - 3,
            'y' => $top + 2,
        ];
    }

    /** @param array{id: int, address: string, url: string, says: string, front: string, gap: string, label: string, x: float, y: float} $mark */
    private function place(array $mark, int $out, bool $isLit): string
    {
        return '<a class="place'.($isLit ? ' lit' : '').(0 === $out ? '' : ' out').'" href="'.$mark['url'].'" tabindex="'.($isLit ? '0' : '-1').'" data-address="'.$mark['address'].'" data-place="'.$mark['id'].'"><title>'.$mark['says'].(0 === $out ? '' : " · {$out} out").'</title>'.$mark['front'].(0 === $out ? '' : $mark['gap']).$mark['label'].'</a>';
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
    }
}
