<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Measure;

use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\VolumeFormat;
use PHPUnit\Framework\TestCase;

/** One litre is 61.0237 cubic inches (NIST SP 811, appendix B.8; given from memory). */
final class VolumeFormatTest extends TestCase
{
    public function testAVolumeIsSaidInTheUnitOfTheRoom(): void
    {
        [$inches, $millimetres] = [new VolumeFormat(LengthUnit::Inch), new VolumeFormat(LengthUnit::Millimetre)];
        self::assertSame(
            ['61 cu in', '1,420 cu in', '6.7 cu ft', '6 cu in', 'a little'],
            array_map($inches->print(...), [1.0, 23.2, 190.4, 0.1, 0.04]),
        );
        self::assertSame(['1 l', '23.2 l', '0.1 l', 'a little'], array_map($millimetres->print(...), [1.0, 23.2, 0.1, 0.04]));
    }
}
