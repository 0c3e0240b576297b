<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\RoomClock;
use App\Platform\Web\Svg;
use App\Platform\Web\ThingPicture;
use App\Room\Log\LifeRow;
use App\Room\Log\MadeOf;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Picture\StandIn;
use Lottel\Core\Room\Spread;
use Lottel\Core\Words\Counted;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** The life of a thing as a shelf: what it made stands on it in the order of time, being lost is a broken board. In pixels. */
final readonly class LifeShelf
{
    private const WIDTH = 856.0;
    private const MOST = 10;
    private const APART = 80.0;
    private const BOARD = 92.0;
    private const HEIGHT = 118.0;
    private const CARD = 50.0;
    private const MARGIN = 44.0;

    public function __construct(private RoomClock $roomClock, private ClockInterface $clock, private UrlGeneratorInterface $urls)
    {
    }

    /** @param list<LifeRow> $life oldest first; only its last part is drawn where it is long */
    public function drawn(array $life): string
    {
        $shown = \array_slice($life, -self::MOST);
        if ([] === $shown) {
            return '';
        }
        $at = $this->places($shown);
        $svg = \sprintf('<rect class="board" y="%.1f" width="%.1f" height="26" rx="3"/>', self::BOARD, self::WIDTH);
        $month = '';
        foreach ($shown as $nth => $row) {
            $from = $row->event->from->setTimezone($this->roomClock->timeZone());
            $svg .= $this->event($row, $at[$nth]).($from->format('M Y') === $month ? '' : \sprintf(
                '<text class="board-month" x="%.1f" y="%.1f">%s</text>',
                $at[$nth],
                self::BOARD + 18,
                $from->format('M Y'),
            ));
            $month = $from->format('M Y');
        }

        return \sprintf(
            '<svg class="life" viewBox="0 0 %.0f %.0f" width="%1$.0f" height="%2$.0f" role="group" aria-label="Its life">',
            self::WIDTH,
            self::HEIGHT,
        ).
            $svg.
            '</svg>';
    }

    public static function earlier(int $events): int
    {
        return max(0, $events - self::MOST);
    }

    /**
     * @param list<LifeRow> $shown
     *
     * @return list<float>
     */
    private function places(array $shown): array
    {
        $first = $shown[0]->event->from->getTimestamp();
        $span = max(1, $this->clock->now()->getTimestamp() - $first);
        $length = self::WIDTH - 2 * self::MARGIN;
        $wanted = array_map(static fn (LifeRow $row): float => ($row->event->from->getTimestamp() - $first) / $span * $length, $shown);

        return array_map(static fn (float $x): float => self::MARGIN + $x, Spread::over($wanted, self::APART, $length));
    }

    private function event(LifeRow $row, float $x): string
    {
        return match (true) {
            $row->event->isCameIn() => \sprintf('<path class="life-flag" d="M%.1f %.1fv-44h40l8 9-8 9h-40"/>', $x - 22, self::BOARD)
                .self::text('life-new', $x + 0, self::BOARD - 30, 'new'),
            $row->event->isLost() => $this->lost($row, $x),
            null !== $row->made => $this->kit($row, $row->made, $x),
            default => '',
        };
    }

    private function lost(LifeRow $row, float $x): string
    {
        $long = 'lost '.$row->event->length($this->clock->now());
        $where = $row->event->isOpen() ? 'not found yet' : ('' === $row->event->where ? 'found again' : 'lay in '.$row->event->where);

        return \sprintf('<path class="life-broken" d="M%.1f %.1fh30v26h-30zm0 26l30-26"/>', $x - 15, self::BOARD)
            .self::text('life-lost', $x, self::BOARD - 26, $long)
            .self::text('life-lost', $x, self::BOARD - 9, $where);
    }

    private function kit(LifeRow $row, MadeOf $made, float $x): string
    {
        $day = $row->event->from->setTimezone($this->roomClock->timeZone())->format('j M');
        $says = $made->pieces > 0 ? $day.' ×'.$made->pieces : $day;
        $top = self::BOARD - self::CARD - 18;
        $piece = StandIn::of(new Thing(0, $made->name, kind: Kind::FinishedPiece, themes: '' === $made->occasion ? [] : [$made->occasion]));
        $height = self::BOARD - $top - 2;

        return \sprintf(
            '<a href="%s"><title>%s</title>%s%s</a>',
            Svg::escape($this->urls->generate('kit', ['id' => $made->kit])),
            Svg::escape($made->name.': '.($made->pieces > 0 ? Counted::of($made->pieces, 'piece').' made' : 'nothing made of it yet')),
            self::text($row->event->isOpen() ? 'life-day now' : 'life-day', $x, 14, $row->event->isOpen() ? 'now' : $says),
            $row->event->isOpen()
                ? Svg::rectangle('life-open', $x - 25, $top, self::CARD, $height)
                  .self::text('life-open-text', $x, $top + 30, $made->pieces > 0 ? '×'.$made->pieces : 'out')
                  .self::text('life-open-text', $x, $top + 46, $made->pieces > 0 ? 'so far' : $day)
                : ThingPicture::within($piece, $x - 25, $top, self::CARD, $height + 4),
        );
    }

    private static function text(string $class, float $x, float $y, string $text): string
    {
        return \sprintf('<text class="%s" x="%.1f" y="%.1f">%s</text>', $class, $x, $y, Svg::escape($text));
    }
}
