<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

use Lottel\Core\Care\Hazard;

/** What a name tells of a thing: its kind, and what about it calls for care (common practice, no source). */
final class KindWords
{
    private const RE_INKER = '/(?<!\p{L})(?:re-?ink(?:er|ing)?s?|(?:ink )?refills?)(?!\p{L})/iu';

    /** The first that fits counts, so that a die storage folder is told from a die only by its last word. */
    private const KINDS = [
        'ink pad|inkpad|ink cube|re-?inker|dye ink|pigment ink|alcohol ink|ink' => Kind::Ink,
        'stamp set|stamps?|background stamp|sentiments?' => Kind::StampSet,
        'dies?|die set' => Kind::Die,
        'stencils?|masks?' => Kind::Stencil,
        'scraps?|off-?cuts?' => Kind::Scrap,
        'envelopes?' => Kind::Envelope,
        'card ?stock|cards?|papers?|vellum|paper pad|pad|sheets?|panels?|bases?|mats?' => Kind::Paper,
        'ribbons?|grosgrain|twine|lace|seam binding|washi|cord' => Kind::Ribbon,
        'embossing powder|glitter|mica|powders?' => Kind::Powder,
        'glue|adhesives?|tape runner|foam tape|foam squares?|glue dots?|double-?sided tape|tape|refills?' => Kind::Adhesive,
        'pens?|markers?|pencils?|fine ?liners?|crayons?' => Kind::Pen,
        'die-?cutting machine|machine|laminator|printer|glue gun|hot glue|heat gun|heat tool|iron|guillotine|trimmer|foil press' => Kind::Machine,
        'scissors|knife|knives|blades?|tweezers|bone folder|scoring board|ruler|brayer|brush|brushes' => Kind::Tool,
        'acrylic blocks?|positioner|punch|punches|tool|magnets?|mat knife' => Kind::Tool,
        'sequins?|beads?|gems?|pearls?|buttons?|brads?|stickers?|charms?|die cuts?|tags?|embellishments?|chipboard|flowers?|shells?' => Kind::Embellishment,
    ];

    private const HAZARDS = [
        'glue gun|hot glue|heat gun|heat tool|iron|laminator|hot foil|foil press|soldering' => Hazard::Hot,
        'knife|knives|blades?|scalpel|guillotine|trimmer|scissors' => Hazard::Blade,
        'solvent|alcohol|isopropyl|spray|sprays|aerosol|thinner|acetone|lacquer' => Hazard::Solvent,
        'magnets?|button cells?|beads?|sequins?|brads?' => Hazard::SmallParts,
        'glitter|mica|embossing powder|powders?' => Hazard::Powder,
    ];

    /** Returns the kind that a name speaks of, or null where it speaks of none: of several words the last one counts. */
    public static function kind(string $name): ?Kind
    {
        $best = null;
        $at = -1;
        $length = 0;
        foreach (self::KINDS as $words => $kind) {
            if (0 === (int) preg_match_all('/(?<![\\p{L}\\p{N}])(?:'.$words.')(?![\\p{L}\\p{N}])/iu', $name, $m, \PREG_OFFSET_CAPTURE)) {
                continue;
            }
            /** @var non-empty-list<array{string, int<-1, max>}> $found */
            $found = $m[0];
            [$word, $offset] = $found[\count($found) - 1];
            $end = $offset + \strlen($word);
            if ($end > $at || ($end === $at && \strlen($word) > $length)) {
                [$best, $at, $length] = [$kind, $end, \strlen($word)];
            }
        }

        return $best;
    }

    /** @return list<Hazard> what a thing of this kind and name calls for */
    public static function hazards(Kind $kind, string $name): array
    {
        $hazards = $kind->usualHazards();
        foreach (self::HAZARDS as $words => $hazard) {
            if (
                1 === preg_match('/(?<![\\p{L}\\p{N}])(?:'.$words.')(?![\\p{L}\\p{N}])/iu', $name)
                && !\in_array($hazard, $hazards, true)
                && self::mayHave($kind, $hazard)
            ) {
                $hazards[] = $hazard;
            }
        }

        return $hazards;
    }

    /** A stamp of a knife cuts nobody. */
    private static function mayHave(Kind $kind, Hazard $hazard): bool
    {
        return match ($kind) {
            Kind::StampSet, Kind::Die, Kind::Stencil, Kind::Paper, Kind::Scrap, Kind::Envelope, Kind::PartFinished, Kind::FinishedPiece => false,
            Kind::Ink, Kind::Pen => Hazard::Solvent === $hazard,
            Kind::Ribbon => false,
            default => true,
        };
    }

    /** Whether an ink by this name fills pads again, and is nothing to stamp with. */
    public static function isReInker(string $name): bool
    {
        return 1 === preg_match(self::RE_INKER, $name);
    }
}
