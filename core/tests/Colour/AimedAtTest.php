<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Colour;

use Lottel\Core\Colour\AimedAt;
use Lottel\Core\Colour\FrontColour;
use Lottel\Core\Colour\Srgb;
use PHPUnit\Framework\TestCase;

final class AimedAtTest extends TestCase
{
    public function testTheNearestMeetsItAndWhatIsFarDoesNot(): void
    {
        $colours = [
            new FrontColour('Petrel', Srgb::ofHex('#1f5c6b'), 0.5),
            new FrontColour('Squall', Srgb::ofHex('#2f6a7a'), 0.3),
            new FrontColour('Gull', Srgb::ofHex('#f4f1ea'), 0.2),
        ];
        $met = AimedAt::met([Srgb::ofHex('#2e6a79'), Srgb::ofHex('#c8372d'), Srgb::ofHex('#1f5c6b')], $colours);
        self::assertSame(['Squall', null, 'Petrel'], array_map(static fn (array $one): ?string => $one[1]?->name, $met));
        self::assertSame(0.0, $met[2][2]);
        self::assertSame([], AimedAt::met([], $colours));
    }
}
