<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Paper;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Basis;
use Lottel\Core\Paper\CardDesign;
use Lottel\Core\Paper\Envelope;
use Lottel\Core\Paper\Fold;
use Lottel\Core\Paper\InvalidDesign;
use Lottel\Core\Paper\IsoSize;
use Lottel\Core\Paper\Layer;
use Lottel\Core\Paper\PageDesign;
use Lottel\Core\Paper\PaperSize;
use Lottel\Core\Paper\PhotoMat;
use Lottel\Core\Paper\PocketPage;
use Lottel\Core\Paper\Surface;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaperTest extends TestCase
{
    /** ISO 216:2007, A0 to A10 in millimetres; from memory. */
    public function testTheASeriesIsThatOfTheStandard(): void
    {
        $published = [[841, 1189], [594, 841], [420, 594], [297, 420], [210, 297], [148, 210], [105, 148], [74, 105], [52, 74], [37, 52], [26, 37]];
        foreach ($published as $n => [$width, $height]) {
            self::assertEquals(Size::ofMillimetres($width, $height), IsoSize::a($n), "A{$n}");
        }
    }

    public function testBasisWeightsGoBothWays(): void
    {
        foreach (Basis::cases() as $basis) {
            self::assertEqualsWithDelta(80.0, $basis->pounds($basis->grammage(80.0)), 1e-9);
        }
        self::assertEqualsWithDelta(216.3, Basis::Cover->grammage(80), 0.05);
    }

    /** An office sheet of 80 g/m² is about a tenth of a millimetre thick, a ream of it about 50 mm (common practice, no source). */
    public function testThicknessIsTypical(): void
    {
        self::assertEqualsWithDelta(0.092, Surface::Smooth->thickness(80)->millimetres(), 0.004);
        self::assertEqualsWithDelta(46, Surface::Smooth->stackHeight(500, 80)->millimetres(), 0.5);
        self::assertGreaterThan(Surface::Coated->thickness(300)->ticks, Surface::Textured->thickness(300)->ticks);
    }

    /** @return iterable<string, array{int, int, Fold, string, list<string>}> finished size in sixteenths, flat size, scores; common practice, no source */
    public static function bases(): iterable
    {
        yield 'A2, top fold' => [68, 88, Fold::Top, '4¼ × 11', ['5½']];
        yield 'A2, side fold' => [68, 88, Fold::Side, '8½ × 5½', ['4¼']];
        yield 'slimline' => [56, 136, Fold::Side, '7 × 8½', ['3½']];
        yield '5 × 7' => [80, 112, Fold::Side, '10 × 7', ['5']];
        yield '5 × 7, top fold' => [80, 112, Fold::Top, '5 × 14', ['7']];
        yield 'gate' => [80, 80, Fold::Gate, '10 × 5', ['2½', '7½']];
        yield 'tri-fold' => [64, 96, Fold::TriFold, '12 × 6', ['4', '8']];
        yield 'flat' => [64, 96, Fold::None, '4 × 6', []];
    }

    /** @param list<string> $scores */
    #[DataProvider('bases')]
    public function testABaseIsCutAndScored(int $width, int $height, Fold $fold, string $flat, array $scores): void
    {
        $base = (new CardDesign(Size::ofSixteenths($width, $height), $fold))->pieces()[0];
        self::assertSame($flat, $this->printed($base->size));
        self::assertSame($scores, array_map((new LengthFormat(LengthUnit::Inch))->number(...), $base->scores));
    }

    public function testLayersLieOnEachOther(): void
    {
        $card = new CardDesign(Size::ofSixteenths(68, 88), Fold::Top, [
            Layer::mat('mat', Length::ofInches(1, 16)),
            Layer::mat('panel', Length::ofInches(1, 16), true),
            Layer::strip('sentiment', Size::ofSixteenths(48, 10), true),
            Layer::frame('frame', Length::ofInches(1, 8), Size::ofSixteenths(40, 40)),
        ]);
        self::assertSame(['4¼ × 11', '4⅛ × 5⅜', '4 × 5¼', '3 × ⅝', '3¾ × 5'], array_map(fn ($piece): string => $this->printed($piece->size), $card->pieces()));
        $paper = Surface::Smooth->thickness(216);
        $foam = Length::ofTenthMillimetres(20);
        self::assertSame((2 + 4) * $paper->ticks + 2 * $foam->ticks, $card->thickness($paper, array_fill(0, 4, $paper), $foam)->ticks);
    }

    /** @return iterable<string, array{Layer, string}> */
    public static function impossible(): iterable
    {
        yield 'a reveal that takes all' => [Layer::mat('m', Length::ofInches(3)), 'layers[0].reveal'];
        yield 'a panel larger than its base' => [Layer::panel('p', Size::ofSixteenths(69, 20)), 'layers[0].size'];
        yield 'a strip of nothing' => [Layer::strip('s', Size::ofSixteenths(0, 20)), 'layers[0].size'];
        yield 'a window outside its panel' => [Layer::frame('f', Length::ofInches(1, 8), Size::ofSixteenths(64, 20)), 'layers[0].window'];
    }

    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedWithItsField(Layer $layer, string $field): void
    {
        try {
            (new CardDesign(Size::ofSixteenths(68, 88), Fold::Top, [$layer]))->pieces();
            self::fail('It was planned.');
        } catch (InvalidDesign $refused) {
            self::assertSame($field, $refused->field);
        }
    }

    /** ISO 269: an A6 card goes into C6, an A5 card into C5; the US trade's A2 card goes into its A2 envelope. */
    public function testTheSmallestEnvelopeThatTakesIt(): void
    {
        $clearance = Length::ofInches(1, 8);
        $thin = Length::ofTicks(0);
        self::assertSame(Envelope::C6, Envelope::smallestFor(IsoSize::a(6), $clearance, $thin));
        self::assertSame(Envelope::C5, Envelope::smallestFor(IsoSize::a(5), $clearance, $thin));
        self::assertSame(Envelope::UsA2, Envelope::smallestFor(Size::ofSixteenths(68, 88), $clearance, $thin));
        self::assertSame(Envelope::UsA2, Envelope::smallestFor(Size::ofSixteenths(88, 68), $clearance, $thin), 'either way round');
        self::assertNotSame(
            Envelope::UsA2,
            Envelope::smallestFor(Size::ofSixteenths(68, 88), $clearance, Length::ofTenthMillimetres(60)),
            'six millimetres of foam need more',
        );
        self::assertNull(Envelope::smallestFor(PaperSize::Layout->size(), $clearance, $thin));
    }

    public function testAPageTakesItsPhotosSideBySide(): void
    {
        $reveal = Length::ofInches(1, 8);
        $at = static fn (string $name, int $x, int $y): PhotoMat => new PhotoMat(
            $name,
            Size::ofSixteenths(64, 96),
            $reveal,
            Length::ofInches($x),
            Length::ofInches($y),
        );
        $page = new PageDesign(PaperSize::Layout->size(), false, [$at('left', 1, 1), $at('right', 6, 1)]);
        self::assertSame(['4¼ × 6¼', '4¼ × 6¼'], array_map(fn ($piece): string => $this->printed($piece->size), $page->pieces()));
        foreach (
            [[[$at('a', 1, 1), $at('b', 5, 6)], false, 'photos[1]'], [[$at('a', 9, 1)], false, 'photos[0]'],
                [[$at('a', 10, 1)], true, 'photos[0]']] as [$photos, $isSpread, $field]
        ) {
            try {
                (new PageDesign(PaperSize::Layout->size(), $isSpread, $photos))->pieces();
                self::fail('It was planned.');
            } catch (InvalidDesign $refused) {
                self::assertSame($field, $refused->field);
            }
        }
        self::assertCount(1, (new PageDesign(PaperSize::Layout->size(), true, [$at('on the right page', 13, 2)]))->pieces());
    }

    public function testAPocketPageTakesACardForEachPocket(): void
    {
        $pieces = PocketPage::usual()->pieces();
        self::assertCount(8, $pieces);
        self::assertSame('4 × 6', $this->printed($pieces[0]->size));
        foreach (['5 × 9' => 1, '3 × 4' => 0] as $name => $count) {
            try {
                (new PocketPage([$name => $count]))->pieces();
                self::fail('It was planned.');
            } catch (InvalidDesign $refused) {
                self::assertSame('pockets.'.$name, $refused->field);
            }
        }
    }

    private function printed(Size $size): string
    {
        $format = new LengthFormat(LengthUnit::Inch);

        return $format->number($size->width).' × '.$format->number($size->height);
    }
}
