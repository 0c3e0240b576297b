<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Which colours go together, judged by the angle of their hues in OKLCh; the rules are common practice, no source. */
enum Harmony: string
{
    case SameHue = 'same hue, lighter or darker';
    case Analogous = 'neighbours';
    case Complementary = 'opposites';
    case Triad = 'thirds';
    case Neutral = 'with a neutral';

    private const NEUTRAL_CHROMA = 0.03;
    private const SAME_HUE = 10.0;

    /**
     * Returns the harmony that two colours are nearest to, and how many degrees of hue they are off it.
     *
     * @return array{self, float}
     */
    public static function nearest(Srgb $one, Srgb $other): array
    {
        return self::between(OkLch::of($one), OkLch::of($other));
    }

    /**
     * Returns the same of colours in OKLCh.
     *
     * @return array{self, float}
     */
    public static function between(OkLch $first, OkLch $second): array
    {
        if (min($first->c, $second->c) < self::NEUTRAL_CHROMA) {
            return [self::Neutral, 0.0];
        }
        $angle = Hues::between($first->h, $second->h);
        $off = [
            [self::SameHue, max(0.0, $angle - self::SAME_HUE)],
            [self::Analogous, abs($angle - 30)],
            [self::Triad, abs($angle - 120)],
            [self::Complementary, abs($angle - 180)],
        ];
        usort($off, static fn (array $a, array $b): int => $a[1] <=> $b[1]);

        return $off[0];
    }

    /** Returns what two colours are to each other, as a sentence says it of both. */
    public function inWords(): string
    {
        return match ($this) {
            self::SameHue => 'one hue, lighter and darker',
            self::Analogous => 'neighbours',
            self::Complementary => 'opposites',
            self::Triad => 'a third of the circle apart',
            self::Neutral => 'a colour and a neutral',
        };
    }
}
