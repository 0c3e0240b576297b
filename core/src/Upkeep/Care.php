<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

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
}
