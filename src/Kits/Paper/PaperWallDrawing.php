<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Web\Svg;
use Lottel\Core\Measure\Length;
use Lottel\Core\Words\Counted;
use Lottel\Core\Words\TypeWidth;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws all paper on one shelf: sheets stacked above the name of each colour, its scraps below to one scale. */
final readonly class PaperWallDrawing
{
    private const COLUMN = 23.0;
    private const GAP = 9.0;
    private const STACK = 92.0;
    private const COUNT = 16.0;
    private const NAME = 96.0;
    private const SCRAPS = 66.0;
    private const SHELF = 24.0;
    private const PER_SHEET = 1.0;
    private const PIXELS_TO_AN_INCH = 5.0;
    private const PLAIN = '#fffdf6';
    private const GROUP_NAME = 14.5;

    /** As many papers as go beside each other on a phone. */
    private const MOST_BESIDE = 14;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    /**
     * On one shelf, as a drawing that is taken along.
     *
     * @param array<string, list<PaperColumn>> $groups
     */
    public function drawn(array $groups, PieceQuestion $question): string
    {
        $svg = '';
        $x = 4.0;
        foreach ($groups as $name => $columns) {
            [$group, $width] = $this->group($name, $columns, $x, $question);
            $svg .= $group;
            $x += $width;
        }

        return self::wrapped('paper-wall', 'All paper', $x, $svg);
    }

    /**
     * On a page, group by group, so that what one shelf has no room for stands on further ones.
     *
     * @param array<string, list<PaperColumn>> $groups
     */
    public function shelves(array $groups, PieceQuestion $question): string
    {
        $html = '';
        foreach ($groups as $name => $columns) {
            foreach (array_chunk($columns, self::MOST_BESIDE) as $some) {
                [$svg, $width] = $this->group($name, $some, 4.0, $question);
                $html .= self::wrapped('paper-group', $name, $width, $svg);
            }
        }

        return '<div class="paper-wall">'.$html.'</div>';
    }

    private static function wrapped(string $class, string $label, float $width, string $inside): string
    {
        return \sprintf(
            '<svg class="%s" width="%.0f" height="%.0f" viewBox="0 0 %2$.0f %3$.0f" role="group" aria-label="%s">'
            .'<rect class="paper-shelf" y="%.1f" width="%2$.0f" height="%.1f"/>%s</svg>',
            $class,
            $width,
            self::height(),
            Svg::escape($label),
            self::height() - self::SHELF,
            self::SHELF,
            $inside,
        );
    }

    /**
     * @param list<PaperColumn> $columns
     *
     * @return array{string, float} the group, and how wide it is with the gap behind it
     */
    private function group(string $name, array $columns, float $from, PieceQuestion $question): array
    {
        $svg = '';
        $x = $from;
        foreach ($columns as $column) {
            $svg .= $this->column($column, $x, $question);
            $x += self::COLUMN;
        }
        $x = max($x, $from + TypeWidth::of($name, self::GROUP_NAME) + 4);
        $svg .= \sprintf('<text class="group-name" x="%.1f" y="%.1f">%s</text>', ($from + $x) / 2, self::height() - 8, Svg::escape($name));

        return [$svg, $x - $from + self::GAP];
    }

    private static function height(): float
    {
        return self::COUNT + self::STACK + self::NAME + self::SCRAPS + self::SHELF;
    }

    private function column(PaperColumn $column, float $x, PieceQuestion $question): string
    {
        $says = \sprintf('%s: %s, %s', $column->label, Counted::of($column->sheets, 'sheet'), Counted::of($column->scraps, 'scrap'));

        return \sprintf(
            '<a href="%s"%s><title>%s</title>%s%s%s</a>',
            Svg::escape($this->url($column, $question)),
            $this->current($column, $question),
            Svg::escape($says),
            self::sheets($column, $x),
            self::name($column, $x),
            self::scraps($column, $x),
        );
    }

    private static function sheets(PaperColumn $column, float $x): string
    {
        $top = self::COUNT + self::STACK;
        $high = min(self::STACK, $column->sheets * self::PER_SHEET);
        $svg = 0 === $column->sheets
            ? \sprintf('<rect class="no-sheets" x="%.1f" y="%.1f" width="%.1f" height="8"/>', $x + 1.5, $top - 8, self::COLUMN - 3)
            : self::leaf('sheets', $column, $x + 1, $top - $high, self::COLUMN - 2, $high);
        if ($column->sheets * self::PER_SHEET > self::STACK) {
            $svg .= \sprintf('<path class="broken" d="M%.1f %.1fl4 -4l4 4l4 -4l4 4l4 -4l3 3"/>', $x, $top - self::STACK * 0.6);
        }

        return $svg.\sprintf(
            '<text class="sheets-many%s" x="%.1f" y="%.1f">%d</text>',
            0 === $column->sheets ? ' none' : '',
            $x + self::COLUMN / 2,
            $top - $high - 5,
            $column->sheets,
        );
    }

    private static function name(PaperColumn $column, float $x): string
    {
        $top = self::COUNT + self::STACK;

        return self::leaf('named', $column, $x + 0.5, $top, self::COLUMN - 1, self::NAME).\sprintf(
            '<text class="paper-name" fill="%s" transform="translate(%.1f %.1f) rotate(-90)">%s</text>',
            PieceDrawing::onColour($column->colour ?? self::PLAIN),
            $x + self::COLUMN / 2 + 4.5,
            $top + self::NAME - 6,
            Svg::escape(self::short($column->label)),
        );
    }

    private static function leaf(string $class, PaperColumn $column, float $x, float $y, float $width, float $height): string
    {
        return \sprintf(
            '<rect class="%s" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
            $class,
            $column->colour ?? self::PLAIN,
            $x,
            $y,
            $width,
            $height,
        );
    }

    /** The scraps as they stand on the shelf, the tall ones behind. */
    private static function scraps(PaperColumn $column, float $x): string
    {
        $scale = self::PIXELS_TO_AN_INCH / Length::TICKS_PER_INCH;
        $floor = self::height() - self::SHELF;
        $sizes = [];
        foreach ($column->scrapSizes as $size) {
            $sides = [$size->width->ticks * $scale, $size->height->ticks * $scale];
            $sizes[] = [min(self::COLUMN - 2, ...$sides), min(self::SCRAPS - 6, max($sides))];
        }
        usort($sizes, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
        $svg = '';
        foreach ($sizes as $nth => [$width, $height]) {
            $left = $x + 1 + ($nth * 4) % max(1, (int) (self::COLUMN - 1 - $width));
            $svg .= self::leaf('scrap', $column, $left, $floor - $height, $width, $height);
        }

        return $svg;
    }

    private function url(PaperColumn $column, PieceQuestion $question): string
    {
        return '' === $column->asks()
            ? $this->urls->generate('item', ['id' => $column->id])
            : $this->urls->generate('paper', ['colour' => $column->asks()] + $question->fields);
    }

    private function current(PaperColumn $column, PieceQuestion $question): string
    {
        $asked = $question->fields['colour'] ?? '';

        return '' !== $asked && 0 === strcasecmp($asked, $column->asks()) ? ' aria-current="true"' : '';
    }

    private static function short(string $text): string
    {
        $most = (int) (self::NAME / 7);

        return mb_strlen($text) > $most ? mb_substr($text, 0, $most - 1).'…' : $text;
    }
}
