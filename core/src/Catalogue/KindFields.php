<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;

/** What is worth knowing about things of one kind alone. */
final class KindFields
{
    public const MOST_CHARACTERS = 200;

    /** @return array<string, array{string, string}> label and an example as a room with this unit writes it, by field */
    public static function of(Kind $kind, LengthUnit $unit = LengthUnit::Inch): array
    {
        $usual = Usual::in($unit);

        return match ($kind) {
            Kind::StampSet => [
                'images' => ['Images on it', 'lighthouse, three gulls, a rope'],
                'made of' => ['Made of', 'clear polymer, rubber, on wood'],
            ],
            Kind::Die => [
                'shape' => ['Shape', 'nested ovals'],
                'fits' => ['Cuts out', 'the gulls of Lighthouse and gulls'],
            ],
            Kind::Stencil => ['opening' => ['Size of its opening', $usual->exampleOfOpening()], 'layers' => ['Layers', '3']],
            Kind::Paper, Kind::Scrap, Kind::Other => [],
            Kind::Envelope => ['fits' => ['Takes cards of', $usual->exampleOfPiece()]],
            Kind::Embellishment => ['material' => ['Material', 'enamel, wood, shell']],
            Kind::Ribbon => ['broad' => ['How broad', $usual->exampleOfBreadth()], 'material' => ['Material', 'grosgrain, twine']],
            Kind::Ink => ['ink type' => ['Type', 'dye, pigment, permanent, sticky embossing'], 'cleans with' => ['Comes off with', 'water, solvent cleaner']],
            Kind::Pen => ['tip' => ['Tip', '0.5 mm, brush'], 'ink type' => ['Ink', 'alcohol, pigment']],
            Kind::Powder => ['grain' => ['Grain', 'fine, regular, chunky']],
            Kind::Adhesive => ['sticks' => ['Sticks', 'for good, so that it can be lifted'], 'broad' => ['How broad', $usual->exampleOfTape()]],
            Kind::Tool, Kind::Machine => ['takes' => ['Takes', 'blades no. 3, plates A and B'], 'power' => ['Power', 'mains, battery, none']],
            Kind::PartFinished, Kind::FinishedPiece => ['occasion' => ['Occasion', 'birthday, thanks'], 'measures' => ['Measures', $usual->exampleOfPiece()]],
        };
    }
}
