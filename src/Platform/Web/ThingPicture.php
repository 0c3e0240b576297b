<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Picture\StandIn;
use Lottel\Core\Words\TypeWidth;

/** Draws what stands in for the photo of a thing, after its kind, its colour and what its name speaks of. */
final class ThingPicture
{
    private const MARGIN = 5.0;
    private const WORD = 15.0;
    private const MOST_WORDS = 3;
    private const LEAVES = 4;
    private const PAPER = '#fffdf6';

    /**
     * @param list<string> $words what is written on it, drawn as lines where there are none to be read
     * @param array{float, float}|null $size width and height in pixels, null where the page says how large it is
     */
    public static function drawn(StandIn $it, array $words = [], ?array $size = null): string
    {
        return \sprintf(
            '<svg class="thing-picture" viewBox="%1$.1f %1$.1f %2$.1f %3$.1f"%4$s aria-hidden="true" focusable="false">%5$s</svg>',
            -self::MARGIN,
            $it->width + 2 * self::MARGIN,
            $it->height + 2 * self::MARGIN,
            null === $size ? '' : \sprintf(' width="%.0f" height="%.0f"', ...$size),
            self::shapes($it, $words),
        );
    }

    /** The same inside another drawing. */
    public static function within(StandIn $it, float $x, float $y, float $width, float $height): string
    {
        return \sprintf(
            '<svg x="%.1f" y="%.1f" width="%.1f" height="%.1f" viewBox="%5$.1f %5$.1f %6$.1f %7$.1f">%8$s</svg>',
            $x,
            $y,
            $width,
            $height,
            -self::MARGIN,
            $it->width + 2 * self::MARGIN,
            $it->height + 2 * self::MARGIN,
            self::shapes($it, []),
        );
    }

    /** @param list<string> $words */
    private static function shapes(StandIn $it, array $words): string
    {
        return match ($it->kind) {
            Kind::StampSet => self::stamps($it, $words),
            Kind::Die => self::die($it),
            Kind::Stencil => self::stencil($it),
            Kind::Paper, Kind::Scrap => self::leaves($it),
            Kind::Envelope => self::envelope($it),
            Kind::Embellishment => self::packet($it),
            Kind::Ribbon => self::spool($it),
            Kind::Ink => self::pad($it),
            Kind::Pen => self::pen($it),
            Kind::Powder => self::jar($it),
            Kind::Adhesive => self::roll($it),
            Kind::PartFinished, Kind::FinishedPiece => self::card($it),
            Kind::Tool, Kind::Machine, Kind::Other => self::block($it),
        };
    }

    /** @param list<string> $words */
    private static function stamps(StandIn $it, array $words): string
    {
        [$w, $h] = [$it->width, $it->height];
        $lines = self::words($words, $w - 24);
        $room = $h - 30 - max(3, \count($lines)) * (self::WORD + 4);
        $large = min($w * 0.56, $room);
        $small = min($w - $large - 26, $room / 2 - 4, 52);
        [$first, $second, $third] = [$it->motifs[0], $it->motifs[1] ?? $it->motifs[0], $it->motifs[2] ?? $it->motifs[1] ?? $it->motifs[0]];

        return self::sheet('tp-clear', $w, $h)
            .\sprintf('<path class="tp-glare" d="M%.1f 3h%.1fL%.1f %.1fh%.1fz"/>', $w * 0.6, $w * 0.2, $w * 0.34, $h - 3, -$w * 0.2)
            .\sprintf('<circle class="tp-hole" cx="%.1f" cy="9" r="4"/>', $w / 2)
            .MotifPath::drawn($first, 'tp-motif', 10, 20 + ($room - $large) / 2, $large)
            .MotifPath::drawn($second, 'tp-motif', $w - $small - 10, 24, $small)
            .MotifPath::drawn($third, 'tp-motif', $w - $small - 10, 28 + $room / 2, $small * 0.86)
            .self::written($lines, $w, $h);
    }

    private static function die(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];
        $size = min($w * 0.62, $h * 0.5);
        $second = $it->motifs[1] ?? $it->motifs[0];

        return self::sheet('tp-plate', $w, $h)
            .MotifPath::drawn($it->motifs[0], 'tp-blade', 12, 14, $size)
            .MotifPath::drawn($second, 'tp-blade', $w - $size * 0.66 - 12, $h - $size * 0.66 - 14, $size * 0.66)
            .MotifPath::drawn($it->motifs[0], 'tp-blade', 14, $h - $size * 0.5 - 12, $size * 0.42);
    }

    private static function stencil(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];
        $across = 3;
        $size = ($w - 28) / $across;
        $svg = self::sheet('tp-film', $w, $h);
        for ($row = 0; $row < (int) floor(($h - 28) / $size); ++$row) {
            for ($column = 0; $column < $across; ++$column) {
                $motif = $it->motifs[($row + $column) % \count($it->motifs)];
                $svg .= MotifPath::drawn($motif, 'tp-opening', 14 + $column * $size + 3, 14 + $row * $size + 3, $size - 6);
            }
        }

        return $svg;
    }

    private static function leaves(StandIn $it): string
    {
        $svg = '';
        $leaves = Kind::Scrap === $it->kind ? 1 : self::LEAVES;
        for ($leaf = $leaves - 1; $leaf >= 0; --$leaf) {
            $svg .= self::filled($it, $leaf * 3, $leaf * 3, $it->width - 3 * ($leaves - 1), $it->height - 3 * ($leaves - 1));
        }

        return $svg.(Kind::Scrap === $it->kind
            ? \sprintf('<path class="tp-cut" d="M%.1f %.1fl-%.1f 0l0 -%.1f"/>', $it->width, $it->height * 0.7, $it->width * 0.34, $it->height * 0.7)
            : '');
    }

    private static function envelope(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];

        return self::filled($it, 0, 0, $w, $h)
            .\sprintf('<path class="tp-line" d="M2 2L%.1f %.1fL%.1f 2M2 %.1fL%.1f %.1fM%.1f %.1fL%.1f %.1f"/>', ...[
                $w / 2, $h * 0.56, $w - 2, $h - 2, $w * 0.38, $h * 0.43, $w - 2, $h - 2, $w * 0.62, $h * 0.43,
            ]);
    }

    private static function packet(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];
        $size = min($w, $h) / 3.4;
        $svg = self::sheet('tp-clear', $w, $h).\sprintf('<path class="tp-line" d="M0 %.1fh%.1f"/>', 26, $w);
        foreach ([[0.1, 0.22], [0.56, 0.26], [0.3, 0.5], [0.64, 0.62], [0.06, 0.7]] as $nth => [$x, $y]) {
            $motif = $it->motifs[$nth % \count($it->motifs)];
            $svg .= \sprintf('<g fill="%s">%s</g>', $it->colour ?? '#a5823f', MotifPath::drawn($motif, 'tp-bit', $x * $w, $y * $h, $size));
        }

        return $svg;
    }

    private static function spool(StandIn $it): string
    {
        [$x, $y, $r] = [$it->width / 2, $it->height / 2, min($it->width, $it->height) / 2 - 2];
        $svg = \sprintf('<circle class="tp-card" cx="%.1f" cy="%.1f" r="%.1f"/>', $x, $y, $r);
        foreach ([0.86, 0.72, 0.58] as $share) {
            $svg .= \sprintf('<circle class="tp-wound" fill="%s" cx="%.1f" cy="%.1f" r="%.1f"/>', $it->colour ?? '#c9b78c', $x, $y, $r * $share);
        }

        return $svg
            .\sprintf('<circle class="tp-card" cx="%.1f" cy="%.1f" r="%.1f"/><circle class="tp-hole" cx="%1$.1f" cy="%2$.1f" r="9"/>', $x, $y, $r * 0.4)
            .\sprintf('<path class="tp-end" stroke="%s" d="M%.1f %.1fq12 14 -6 26"/>', $it->colour ?? '#c9b78c', $x + $r * 0.8, $y + $r * 0.4);
    }

    private static function pad(StandIn $it): string
    {
        [$w, $h] = [$it->width, max($it->height, 120.0)];
        $y = ($it->height - $h) / 2;

        return \sprintf('<rect class="tp-case" y="%.1f" width="%.1f" height="%.1f" rx="12"/>', $y, $w, $h).
            \sprintf(
                '<rect class="tp-felt" fill="%s" x="16" y="%.1f" width="%.1f" height="%.1f" rx="6"/>',
                $it->colour ?? '#56636c',
                $y + 16,
                $w - 32,
                $h - 32,
            ).
            \sprintf('<path class="tp-glint" d="M28 %.1fq%.1f -12 %.1f 0"/>', $y + 34, ($w - 56) / 2, $w - 56);
    }

    private static function pen(StandIn $it): string
    {
        [$x, $h] = [$it->width / 2, $it->height];
        $colour = $it->colour ?? '#22303a';

        return \sprintf('<path class="tp-card" d="M%.1f 4h20v%.1fl-10 22l-10-22z"/>', $x - 10, $h - 34)
            .\sprintf('<rect fill="%s" class="tp-outline" x="%.1f" y="4" width="24" height="%.1f" rx="5"/>', $colour, $x - 12, $h * 0.34)
            .\sprintf('<path fill="%s" d="M%.1f %.1fl4 9h-8z" transform="rotate(180 %.1f %.1f)"/>', $colour, $x, $h - 9, $x, $h - 6);
    }

    private static function jar(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];

        return \sprintf('<rect class="tp-clear" x="2" y="40" width="%.1f" height="%.1f" rx="16"/>', $w - 4, $h - 42)
            .\sprintf('<path fill="%s" class="tp-outline" d="M8 %.1fq%.1f -20 %.1f 0v%.1fq0 10 -12 10h-%.1fq-12 0 -12 -10z"/>', ...[
                $it->colour ?? '#c9b78c', $h * 0.52, ($w - 16) / 2, $w - 16, $h * 0.4, $w - 40,
            ])
            .\sprintf('<rect class="tp-case" x="10" y="8" width="%.1f" height="34" rx="6"/>', $w - 20);
    }

    private static function roll(StandIn $it): string
    {
        [$x, $y, $r] = [$it->width / 2, $it->height / 2, min($it->width, $it->height) / 2 - 2];

        return \sprintf(
            '<circle class="tp-film" cx="%.1f" cy="%.1f" r="%.1f"/><circle class="tp-line" cx="%1$.1f" cy="%2$.1f" r="%4$.1f"/>',
            $x,
            $y,
            $r,
            $r * 0.78,
        ).
            \sprintf('<circle class="tp-hole" cx="%.1f" cy="%.1f" r="%.1f"/>', $x, $y, $r * 0.5).
            \sprintf('<path class="tp-line" d="M%.1f %.1fh%.1fv14h-%.1f"/>', $x, $y + $r, $r, $r);
    }

    private static function card(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];
        $size = min($w, $h) * 0.6;

        return \sprintf('<rect class="tp-card" width="%.1f" height="%.1f" rx="2"/>', $w, $h)
            .self::filled($it, 10, 10, $w - 20, $h - 20, '#dcebe5')
            .(Kind::FinishedPiece === $it->kind
                ? \sprintf('<rect class="tp-label" x="%.1f" y="%.1f" width="%.1f" height="24"/>', $w * 0.16, $h * 0.76, $w * 0.68)
                  .MotifPath::drawn($it->motifs[0], 'tp-motif', ($w - $size) / 2, $h * 0.16, $size)
                : \sprintf('<path class="tp-cut" d="M10 %.1fh%.1f"/>', $h * 0.7, $w - 20));
    }

    private static function block(StandIn $it): string
    {
        [$w, $h] = [$it->width, $it->height];
        $size = min($w, $h) * 0.56;

        return \sprintf('<rect class="tp-case" width="%.1f" height="%.1f" rx="%.1f"/>', $w, $h, Kind::Other === $it->kind ? 3 : 14)
            .\sprintf('<rect class="tp-bed" x="9" y="9" width="%.1f" height="%.1f" rx="6"/>', $w - 18, $h - 18)
            .MotifPath::drawn($it->motifs[0], 'tp-motif', ($w - $size) / 2, ($h - $size) / 2, $size);
    }

    private static function sheet(string $class, float $width, float $height): string
    {
        return \sprintf('<rect class="%s" width="%.1f" height="%.1f" rx="5"/>', $class, $width, $height);
    }

    private static function filled(StandIn $it, float $x, float $y, float $width, float $height, string $plain = self::PAPER): string
    {
        return \sprintf(
            '<rect class="tp-outline" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2"/>',
            Svg::escape($it->colour ?? $plain),
            $x,
            $y,
            $width,
            $height,
        );
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> as many as there is room for, those that are too long left out
     */
    private static function words(array $words, float $width): array
    {
        $fitting = array_filter($words, static fn (string $line): bool => '' !== $line && TypeWidth::of($line, self::WORD) <= $width);

        return \array_slice(array_values($fitting), 0, self::MOST_WORDS);
    }

    /** @param list<string> $lines */
    private static function written(array $lines, float $width, float $height): string
    {
        if ([] === $lines) {
            return \sprintf('<path class="tp-words" d="M%.1f %.1fh%.1fm-%.1f 16h%.1fm-%.1f 16h%.1f"/>', ...[
                $width * 0.18, $height - 46, $width * 0.64, $width * 0.58, $width * 0.52, $width * 0.46, $width * 0.4,
            ]);
        }
        $svg = '';
        foreach (array_reverse($lines) as $nth => $line) {
            $svg .= \sprintf('<text class="tp-word" x="%.1f" y="%.1f">%s</text>', $width / 2, $height - 13 - $nth * (self::WORD + 5), Svg::escape($line));
        }

        return $svg;
    }
}
