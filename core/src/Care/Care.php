<?php

declare(strict_types=1);

namespace Lottel\Core\Care;

use Lottel\Core\Words\Counted;

/** A thing to do, or to look out for, when items with a hazard are handled. Usual cautions of the trade, no source. */
final readonly class Care
{
    public const CAVEAT = 'These are usual cautions. The product’s own label, local rules and trained advice come first.';

    private function __construct(public Hazard $hazard, public string $do, public string $why, public bool $isTicked)
    {
    }

    /** Returns the caution for taking a thing out, or null where there is nothing to say. */
    public static function onPull(Hazard $hazard): ?self
    {
        return match ($hazard) {
            Hazard::Hot => new self($hazard, 'Stand it clear of paper, its lead out of the way.', 'It burns people and melts its tray.', false),
            Hazard::Blade => new self($hazard, 'Carry it capped or locked.', 'It cuts.', false),
            Hazard::Solvent => new self($hazard, 'Open a window, no flame, keep it upright.', 'Fumes catch fire.', false),
            Hazard::SmallParts => new self(
                $hazard,
                'Keep the box closed, out of small children’s reach.',
                'Swallowed magnets or cells are an emergency.',
                false,
            ),
            Hazard::Heavy => new self($hazard, 'Lift it with two hands, between knee and hip height.', 'Backs and toes.', false),
            Hazard::Powder => new self($hazard, 'Put a tray under it.', 'It gets into everything.', false),
            Hazard::Inky, Hazard::LiesFlat => null,
        };
    }

    /** The same for a child, to whom some things are handed by a grown-up. */
    public function forChild(): self
    {
        $leave = match ($this->hazard) {
            Hazard::Hot => 'Do not touch it: a grown-up takes it, and switches it on and off.',
            Hazard::Blade => 'Leave it to a grown-up, capped or not.',
            Hazard::Solvent => 'Leave it to a grown-up, and the lid shut.',
            Hazard::Heavy => 'A grown-up carries it.',
            Hazard::SmallParts => 'A grown-up opens the box. Nothing of it goes into a mouth.',
            Hazard::Powder => 'With a grown-up beside you; do not blow at it.',
            Hazard::Inky, Hazard::LiesFlat => '',
        };

        return '' === $leave ? $this : new self($this->hazard, $this->isTicked ? $leave.' Ask them: '.lcfirst($this->do) : $leave, $this->why, $this->isTicked);
    }

    /** Returns what is to be done, and ticked, before the thing goes home. */
    public static function onReturn(Hazard $hazard): self
    {
        return match ($hazard) {
            Hazard::Inky => new self(
                $hazard,
                'Clean the stamps: a damp cloth for dye ink, solvent cleaner for pigment and permanent ink.',
                'Stained stamps smear the next print.',
                true,
            ),
            Hazard::Hot => new self($hazard, 'Switched off, unplugged, and cold to the touch.', 'It melts its container and burns people.', true),
            Hazard::Blade => new self($hazard, 'Blade capped or locked; spent blades in the closed tin.', 'Children reach drawers too.', true),
            Hazard::Solvent => new self($hazard, 'Lid tight, stood upright, cool and out of children’s reach.', 'Fumes catch fire.', true),
            Hazard::SmallParts => new self(
                $hazard,
                'Box closed; nothing left on the bench or the floor.',
                'Swallowed magnets or cells are an emergency.',
                true,
            ),
            Hazard::Heavy => new self($hazard, 'Two hands; not above the shoulder.', 'Backs and toes.', false),
            Hazard::Powder => new self($hazard, 'Lid tight, tray under it wiped.', 'It gets into everything.', true),
            Hazard::LiesFlat => new self($hazard, 'Lay it flat with its lid up for a day or two.', 'Freshly inked pads leak on their side.', true),
        };
    }

    /**
     * Returns how stamps are cleaned before they go home, given the inks that were with them.
     *
     * @param list<StampInk> $inks
     */
    public static function onReturnOfStamps(array $inks): self
    {
        $names = static fn (?bool $isWashedOff): array => array_values(array_map(
            static fn (StampInk $ink): string => $ink->name,
            array_filter($inks, static fn (StampInk $ink): bool => $ink->isWashedOff === $isWashedOff),
        ));
        [$washed, $stays, $unknown] = [$names(true), $names(false), $names(null)];

        return match (true) {
            [] !== $stays => new self(Hazard::Inky, \sprintf(
                'Clean the stamps with solvent cleaner and some rubbing: %s %s with them.',
                Counted::names($stays, 'such ink'),
                Counted::verb(\count($stays), 'was', 'were'),
            ), 'It does not come off with water, and stained stamps smear the next print.', true),
            [] !== $unknown => new self(Hazard::Inky, \sprintf(
                'Clean the stamps: of %s nobody has said what it comes off with, so as its label says.',
                Counted::names($unknown, 'ink'),
            ), 'Stained stamps smear the next print.', true),
            [] !== $washed => new self(Hazard::Inky, \sprintf(
                'Clean the stamps with a damp cloth: only %s %s with them.',
                Counted::names($washed, 'dye ink'),
                Counted::verb(\count($washed), 'was', 'were'),
            ), 'Stained stamps smear the next print.', true),
            default => self::onReturn(Hazard::Inky),
        };
    }
}
