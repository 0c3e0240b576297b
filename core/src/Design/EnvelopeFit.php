<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Length;

/** Whether an envelope takes a card. */
enum EnvelopeFit: string
{
    case Takes = 'takes it';
    case Tight = 'takes it tightly';
    case TooSmall = 'too small';

    /** What is left around a card that goes in easily, besides its thickness (common practice, no source). */
    private const CLEARANCE = Length::TICKS_PER_INCH / 16;

    /**
     * Returns how a card goes in: easily, or tightly where it does so at its edges, which no foam makes thicker. Sides in ticks.
     *
     * @param int $thick how thick the card is where it is thickest, in ticks
     * @param int $edge how thick it is at its edges, in ticks
     */
    public static function of(Sides $envelope, Sides $card, int $thick, int $edge): self
    {
        return match (true) {
            Posting::needed($card, self::CLEARANCE, $thick)->fitsIn($envelope) => self::Takes,
            Posting::needed($card, 0, $edge)->fitsIn($envelope) => self::Tight,
            default => self::TooSmall,
        };
    }

    public function isPossible(): bool
    {
        return self::TooSmall !== $this;
    }
}
