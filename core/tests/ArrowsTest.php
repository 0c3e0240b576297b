<?php

declare(strict_types=1);

namespace Lottel\Core\Tests;

use PHPUnit\Framework\TestCase;

final class ArrowsTest extends TestCase
{
    /** What a part may know of. A new arrow is written down here on purpose, or it is not drawn. */
    private const ALLOWED = [
        'Words' => [],
        'Proposal' => ['Colour'],
        'Year' => ['Colour', 'Design', 'Measure', 'Words'],
        'Workshop' => ['Catalogue', 'Homes', 'Log', 'Measure', 'Paper', 'Words'],
        'Measure' => [],
        'Colour' => [],
        'Care' => ['Words'],
        'Upkeep' => ['Care', 'Catalogue', 'Colour', 'Filing', 'Furniture', 'Homes', 'Log', 'Measure', 'Paper', 'Words', 'Year'],
        'Log' => ['Measure', 'Words'],
        'Kit' => ['Log', 'Measure', 'Words'],
        'Paper' => ['Measure'],
        'Cutting' => ['Colour', 'Measure', 'Paper'],
        'Design' => ['Cutting', 'Kit', 'Measure', 'Paper', 'Words'],
        'Catalogue' => ['Care', 'Colour', 'Log', 'Measure', 'Paper', 'Words'],
        'Furniture' => ['Measure'],
        'Filing' => ['Catalogue', 'Colour'],
        'Label' => ['Catalogue', 'Measure'],
        'Round' => ['Furniture'],
        'ListImport' => ['Catalogue', 'Colour', 'Log', 'Measure', 'Paper'],
        'Room' => ['Furniture', 'Measure', 'Round', 'Words'],
        'Picture' => ['Catalogue', 'Colour', 'Furniture', 'Homes', 'Measure'],
        'Homes' => ['Care', 'Catalogue', 'Colour', 'Furniture', 'Log', 'Measure', 'Round'],
    ];

    public function testThePartsOfTheCoreKnowOfEachOtherOneWay(): void
    {
        $arrows = self::arrows();
        self::assertEqualsCanonicalizing(array_keys(self::ALLOWED), array_keys($arrows->from));
        foreach ($arrows->from as $part => $known) {
            self::assertSame([], array_diff($known, self::ALLOWED[$part]), "{$part} knows too much");
            self::assertSame([], array_diff(self::ALLOWED[$part], $known), "{$part} need not know so much");
        }
        self::assertGreaterThan(2, \count($arrows->layers()), 'no circle');
    }

    public function testTheDrawingIsThatOfTheCode(): void
    {
        self::assertStringContainsString(
            self::arrows()->drawing('The core'),
            (string) file_get_contents(\dirname(__DIR__, 2).'/docs/arrows.md'),
            'Run bin/draw.',
        );
    }

    private static function arrows(): Arrows
    {
        return Arrows::read(\dirname(__DIR__).'/src', 'Lottel\Core');
    }
}
