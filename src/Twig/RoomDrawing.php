<?php

declare(strict_types=1);

namespace App\Twig;

use App\Reading\RoomReading;
use Lottel\Core\Storage\Elevation;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws the room's units in elevation as SVG. Colours and dashes come from classes; states have shapes of their own. */
final readonly class RoomDrawing
{
    private string $placeUrl;

    private const WIDTH = 336.0;
    private const MARGIN = 10.0;

    public function __construct(private RoomReading $room, private UrlGeneratorInterface $urls)
    {
        $this->placeUrl = substr($urls->generate('place', ['address' => 'A']), 0, -1);
    }

    /** @param array<int, string> $lit what is written on a lit place's disc, by place; empty text lights it without a disc */
    public function room(array $lit = []): string
    {
        $units = $this->room->units();
        $fronts = $this->fronts();
        $out = $this->room->outByFront();
        $y = 0.0;
        $svg = '';
        foreach ((new Elevation(self::WIDTH))->rows($this->outlines($units, $fronts)) as $index => $row) {
            $y += 16;
            foreach ($row['units'] as $box) {
                $unit = $units[$box['id']];
                $svg .= $this->title($unit, $box['x'], $y + $row['height'] - $box['height'] - 5, $box['width']);
                $svg .= $this->box($unit, $fronts[$box['id']] ?? [], $out, $lit, $box['x'], $y + $box['y'], $row['scale'], 9.5);
            }
            $y += $row['height'];
            $svg .= \sprintf('<rect class="floor" x="0" y="%.1f" width="%.1f" height="4"/><text class="wall" x="%.1f" y="%.1f">%s</text>', $y + 2, self::WIDTH, self::WIDTH / 2, $y + 17, self::escape($row['wall']));
            $y += 26;
        }

        return $this->svg($svg, self::WIDTH, max(20, $y), 'The storage units of the room');
    }

    /** @param array<int, string> $lit */
    public function unit(int $unitId, array $lit = [], float $width = 520, float $height = 420): string
    {
        $unit = $this->room->units()[$unitId];
        $fronts = $this->fronts()[$unitId] ?? [];
        $scale = min($width / (int) $unit['width'], $height / (int) $unit['height']);

        return $this->svg($this->box($unit, $fronts, $this->room->outByFront(), $lit, 0, 0, $scale, 14), (int) $unit['width'] * $scale, (int) $unit['height'] * $scale, (string) $unit['name']);
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
     * @param array<string, mixed> $unit
     * @param list<array<string, mixed>> $fronts
     * @param array<int, int> $out
     * @param array<int, string> $lit
     */
    private function box(array $unit, array $fronts, array $out, array $lit, float $x, float $y, float $scale, float $font): string
    {
        $svg = \sprintf('<rect class="carcase" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2.5"/>', $x, $y, (int) $unit['width'] * $scale, (int) $unit['height'] * $scale);
        $discs = '';
        foreach ($fronts as $place) {
            $id = (int) $place['id'];
            $box = [$x + (int) $place['front_x'] * $scale + 1, $y + (int) $place['front_y'] * $scale + 1, (int) $place['front_width'] * $scale - 2, (int) $place['front_height'] * $scale - 2];
            $svg .= $this->front($place, $box, $out[$id] ?? 0, isset($lit[$id]), $font);
            if ('' !== ($lit[$id] ?? '')) {
                $discs .= \sprintf('<g class="disc" aria-hidden="true"><circle cx="%.1f" cy="%.1f" r="9"/><text x="%.1f" y="%.1f">%s</text></g>', $box[0] + $box[2] - 3, $box[1] + 2, $box[0] + $box[2] - 3, $box[1] + 6, self::escape($lit[$id]));
            }
        }

        return $svg.$discs;
    }

    /**
     * @param array<string, mixed> $place
     * @param array{float, float, float, float} $box left, top, width, height
     */
    private function front(array $place, array $box, int $out, bool $isLit, float $font): string
    {
        [$left, $top, $width, $height] = $box;
        $address = (string) $place['address'];
        $font = max(8.0, min($font, $height - 3));
        $plate = \strlen($address) * $font * 0.62 + 6;
        $says = $address.' · '.('' === $place['name'] ? $place['kind'] : $place['name']).(0 === $out ? '' : \sprintf(' · %d out', $out));
        $svg = \sprintf('<rect class="front" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1.5"/>', $left, $top, $width, $height);
        if (0 !== $out) {
            $svg .= \sprintf('<rect class="gap" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="1.5"/>', $left + 1.5, $top + 1.5, max(1, $width - 3), max(1, $height - 3));
        }
        if ($plate <= $width - 2 && $font + 2 <= $height) {
            $svg .= \sprintf(
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
        }

        return \sprintf(
            '<a class="place%s%s" href="%s" tabindex="%d" data-address="%s"><title>%s</title>%s</a>',
            $isLit ? ' lit' : '',
            0 === $out ? '' : ' out',
            self::escape($this->placeUrl.rawurlencode($address)),
            $isLit ? 0 : -1,
            self::escape($address),
            self::escape($says),
            $svg,
        );
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
    }
}
