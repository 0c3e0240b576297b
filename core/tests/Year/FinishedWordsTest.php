<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Year\FinishedWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FinishedWordsTest extends TestCase
{
    /** @return iterable<array{string, string, bool}> */
    public static function pieces(): iterable
    {
        yield ['Album page 40', '', true];
        yield ['Storm of ’31', 'one 12 × 12 page', true];
        yield ['Storm of ’31', 'two-page spread', true];
        yield ['Launching day', '1 layout', true];
        yield ['Two layouts', '', true];
        yield ['Album', '', true];
        yield ['Gull card', '12 cards, A2', false];
        yield ['Pageant card', '6 cards with pages of a book', false];
        yield ['Spread of shells', '', true];
    }

    #[DataProvider('pieces')]
    public function testPagesAreToldFromCards(string $name, string $makes, bool $isPage): void
    {
        self::assertSame($isPage, FinishedWords::isPage($name, $makes));
    }

    public function testTheOccasionStandsInTheWords(): void
    {
        $spoken = ['6 thank you cards' => 'thank you', 'Birthday bunting' => 'birthday', 'With sympathy' => 'condolence', '8 cards, A2' => ''];
        foreach ($spoken as $words => $occasion) {
            self::assertSame($occasion, FinishedWords::occasion($words), $words);
        }
        foreach (['Finished cards' => '', 'finished' => '', 'Birthday cards' => 'Birthday cards'] as $drawer => $said) {
            self::assertSame($said, FinishedWords::occasionOfDrawer($drawer));
        }
    }
}
