<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Design;

use Lottel\Core\Cutting\Crease;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Design\DesignPieces;
use Lottel\Core\Design\EnvelopeFit;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Design\KeptDesign;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\Posting;
use Lottel\Core\Design\Rect;
use Lottel\Core\Design\Sides;
use Lottel\Core\Design\Thickness;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\Envelope;
use Lottel\Core\Paper\IsoSize;
use Lottel\Core\Paper\PaperSize;
use Lottel\Core\Paper\Surface;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CardTest extends TestCase
{
    /**
     * Bases of the trade (common practice, no source).
     *
     * @return iterable<string, array{int, int, Fold, string, list<string>}>
     */
    public static function bases(): iterable
    {
        yield 'A2, top fold' => [68, 88, Fold::Top, '4¼ × 11', ['y 5½']];
        yield 'A2, side fold' => [68, 88, Fold::Side, '8½ × 5½', ['x 4¼']];
        yield 'slimline' => [56, 136, Fold::Side, '7 × 8½', ['x 3½']];
        yield '5 × 7, side fold' => [80, 112, Fold::Side, '10 × 7', ['x 5']];
        yield '5 × 7, top fold' => [80, 112, Fold::Top, '5 × 14', ['y 7']];
        yield 'gate' => [80, 80, Fold::Gate, '10 × 5', ['x 2½', 'x 7½']];
        yield 'tri-fold' => [64, 96, Fold::TriFold, '12 × 6', ['x 4', 'x 8']];
        yield 'flat' => [64, 96, Fold::None, '4 × 6', []];
    }

    /** @param list<string> $scores */
    #[DataProvider('bases')]
    public function testABaseIsCutAndScored(int $width, int $height, Fold $fold, string $flat, array $scores): void
    {
        $base = (new Design(Form::Card, 1, Designs::sides($width, $height), $fold))->pieces()[0];
        self::assertSame($flat, self::printed($base->size));
        $format = new LengthFormat(LengthUnit::Inch);
        self::assertSame($scores, array_map(
            static fn (Crease $crease): string => ($crease->isAlongX ? 'x ' : 'y ').$format->number((new Sides($crease->at, 1))->size()->width),
            $base->creases,
        ));
    }

    /** ISO 216: a sheet folded once across its longer side is the next smaller one, to the millimetre that rounding takes. */
    public function testAnA6CardComesFromAnA5SheetFoldedOnce(): void
    {
        $base = (new Design(Form::Card, 1, CardSize::A6->sides(), Fold::Side))->pieces()[0];
        self::assertTrue($base->size->equals(Sides::of(IsoSize::a(5)->turned())));
    }

    public function testLayersLieOnEachOther(): void
    {
        $design = Designs::card()->and(Layer::frame(0, 'frame', 2 * Designs::UNIT, Designs::sides(40, 40)));
        self::assertSame(
            ['base 4¼ × 11', 'mat 4⅛ × 5⅜', 'panel 4 × 5¼', 'strip 3½ × ¾', 'frame 3¾ × 5'],
            array_map(static fn (DesignPiece $piece): string => $piece->name.' '.self::printed($piece->size), $design->pieces()),
        );
        $front = $design->front();
        self::assertEquals(Designs::rect(6, 38, 56, 12), $front[2]->at, 'a strip lies in the middle of the panel');
        self::assertEquals(Designs::rect(14, 24, 40, 40), $front[3]->window, 'a window in the middle of its frame');
    }

    public function testALayerLiesWhereItIsPut(): void
    {
        $design = Designs::card();
        $placed = $design->putting($design->layer(3)->with(['x' => 0, 'y' => 72 * Designs::UNIT]));
        self::assertEquals(Designs::rect(2, 74, 56, 12), $placed->front()[2]->at, 'measured from the panel that it lies on');
    }

    /** @return iterable<string, array{Layer, string}> */
    public static function impossible(): iterable
    {
        yield 'a reveal that takes all' => [Layer::mat(0, 'm', 48 * Designs::UNIT), 'layers[0].reveal'];
        yield 'a panel larger than its base' => [Layer::panel(0, 'p', Designs::sides(69, 20)), 'layers[0]'];
        yield 'a strip of nothing' => [Layer::strip(0, 's', Designs::sides(0, 20)), 'layers[0].size'];
        yield 'a window outside its frame' => [Layer::frame(0, 'f', 2 * Designs::UNIT, Designs::sides(64, 20)), 'layers[0].window'];
        yield 'a strip over the side' => [Layer::strip(0, 's', Designs::sides(60, 12))->with(['x' => 9 * Designs::UNIT]), 'layers[0].x'];
        yield 'a strip over the lower edge' => [Layer::strip(0, 's', Designs::sides(60, 12))->with(['y' => 77 * Designs::UNIT]), 'layers[0].y'];
        yield 'a strip left of its card' => [Layer::strip(0, 's', Designs::sides(60, 12))->with(['x' => -1]), 'layers[0].x'];
    }

    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedWithItsField(Layer $layer, string $field): void
    {
        self::assertSame($field, self::refused(static fn (): Design => (new Design(Form::Card, 1, Designs::sides(68, 88), Fold::Top))->and($layer)->checked()));
    }

    public function testNumbersSizesAndPartsHaveBounds(): void
    {
        self::assertSame('quantity', self::refused(static fn (): Design => Designs::card(0)->checked()));
        self::assertSame('quantity', self::refused(static fn (): Design => Designs::card(10_000)->checked()));
        self::assertSame('finished', self::refused(static fn (): Design => (new Design(Form::Tag, 1, new Sides(0, 5)))->checked()));
        $many = Designs::card();
        for ($more = 0; $more < Design::MOST_PARTS; ++$more) {
            $many = $many->and(Layer::mat(0, 'mat', 0));
        }
        self::assertSame('', self::refused($many->checked(...)));
        self::assertSame('', self::refused(static fn (): Layer => Designs::card()->layer(77)));
    }

    public function testPiecesLieWithinWhatTheyLieOn(): void
    {
        foreach (Designs::manyCards(300) as $number => $design) {
            $below = new Rect(0, 0, $design->finished->width, $design->finished->height);
            foreach ($design->checked()->front() as $placed) {
                self::assertTrue($placed->at->isWithin($below), "card {$number}");
                self::assertTrue(null === $placed->window || $placed->window->isWithin($placed->at));
                $below = $placed->layer->kind->carriesNext() ? $placed->at : $below;
            }
            self::assertCount(\count($design->layers) + 1, DesignPieces::ofCard($design));
            self::assertSame(
                \count($design->layers) + 1,
                array_sum(array_map(static fn (DesignPiece $piece): int => $piece->each, $design->pieces())),
                'none is lost where pieces that are alike are one',
            );
            self::assertEquals($design, KeptDesign::read(self::throughJson(KeptDesign::of($design))), 'kept and read again');
        }
    }

    public function testPiecesThatAreAlikeAreOne(): void
    {
        $design = Designs::card()->and(Layer::strip(0, 'strip', Designs::sides(56, 12))->of(new PaperChoice(4, \Lottel\Core\Cutting\PaperWish::Scraps)));
        $strips = array_values(array_filter($design->pieces(), static fn (DesignPiece $piece): bool => 'strip' === $piece->name));
        self::assertCount(1, $strips);
        self::assertSame([2, 16], [$strips[0]->each, $strips[0]->quantity($design->quantity)]);
    }

    public function testSparePiecesAreCutBesides(): void
    {
        $design = Designs::card()->sparing('base', 2)->sparing('L3', -1);
        self::assertSame([10, 8, 8, 7], array_map(static fn (DesignPiece $piece): int => $piece->quantity(8), $design->pieces()));
        self::assertSame('', self::refused(static fn (): Design => Designs::card()->sparing('X', 1)));
    }

    public function testLayersAreRaisedAndTakenAway(): void
    {
        $names = static fn (Design $design): array => array_map(static fn (Layer $layer): string => $layer->name, $design->layers);
        $design = Designs::card();
        self::assertSame(['mat', 'strip', 'panel'], $names($design->raised(2, 1)));
        self::assertSame(['mat', 'panel', 'strip'], $names($design->raised(3, 1)), 'the uppermost stays');
        self::assertSame(['mat', 'strip'], $names($design->without(2)));
        self::assertSame(4, $design->without(2)->and(Layer::mat(0, 'new', 0))->layers[2]->id, 'a number is not used again');
    }

    public function testOtherPapersTakeTheirPlace(): void
    {
        $design = Designs::card()->repapered([2 => 22, 4 => 44]);
        self::assertSame([1, 22, 3, 44], $design->papers());
        self::assertEquals(Designs::card(), $design->repapered([22 => 2, 44 => 4]));
    }

    public function testWhatIsNoDesignIsNotRead(): void
    {
        $card = KeptDesign::of(Designs::card());
        foreach ([[], ['version' => 2], ['form' => 'boat'] + $card, ['layers' => 'none'] + $card] as $kept) {
            self::assertSame('', self::refused(static fn (): Design => KeptDesign::read($kept)));
        }
    }

    /** Two of 216 g/m² weigh in at a quarter of a millimetre each; by construction. */
    public function testThicknessCountsTheFoldEachLayerAndTheFoam(): void
    {
        $layers = Designs::card()->layers;
        self::assertSame(2 * 10 + 3 * 7 + 80, Posting::thickness(Fold::Top, $layers, 10, [7, 7, 7], 80));
        self::assertSame(3 * 10 + 3 * 7 + 80, Posting::thickness(Fold::TriFold, $layers, 10, [7, 7, 7], 80));
        self::assertSame(10, Posting::thickness(Fold::None, [], 10, [], 80), 'no foam under nothing');
    }

    /**
     * ISO 269 (from memory): an A6 card goes into C6, an A5 card into C5; the US trade's A2 card into its A2 envelope, which is larger by
     * 1/8 and 1/4 in (common practice, no source).
     */
    public function testTheSmallestEnvelopeThatTakesIt(): void
    {
        $envelopes = array_combine(
            array_column(Envelope::cases(), 'value'),
            array_map(static fn (Envelope $envelope): Sides => Sides::of($envelope->size()), Envelope::cases()),
        );
        $smallest = static fn (Sides $card, int $thick): ?string => Posting::envelope($envelopes, Posting::needed($card, 2 * Designs::UNIT, $thick));
        self::assertSame('C6', $smallest(CardSize::A6->sides(), 0));
        self::assertSame('C5', $smallest(Sides::of(IsoSize::a(5)), 0));
        self::assertSame('A2', $smallest(CardSize::A2->sides(), 0));
        self::assertSame('A2', $smallest(CardSize::A2->sides()->turned(), 0), 'either way round');
        self::assertSame('C6', $smallest(CardSize::A2->sides(), 1), 'exactly as large is enough, and a tick more is not');
        self::assertNull($smallest(Sides::of(PaperSize::Layout->size()), 0));
        self::assertSame('first', Posting::envelope(['first' => new Sides(4, 6), 'second' => new Sides(6, 4)], new Sides(4, 4)));
    }

    /** An A2 card of 80 lb cover in the trade's A2 envelope: alone it goes in easily, on foam only just (common practice, no source). */
    public function testFoamMakesItTight(): void
    {
        $envelope = Designs::sides(70, 92);
        $fit = static fn (Design $design): EnvelopeFit => EnvelopeFit::of(
            $envelope,
            $design->finished,
            Thickness::of($design, [1 => 216.0]),
            Thickness::of($design, [1 => 216.0], true),
        );
        $plain = new Design(Form::Card, 1, Designs::sides(68, 88), Fold::Top, new PaperChoice(1));
        self::assertSame(EnvelopeFit::Takes, $fit($plain));
        self::assertSame(EnvelopeFit::Tight, $fit(Designs::card()));
        self::assertSame(EnvelopeFit::TooSmall, $fit($plain->with(['finished' => Designs::sides(70, 88)])));
        self::assertSame(
            2 * Surface::Smooth->thickness(216)->ticks,
            Thickness::of($plain, []),
            'of a paper whose weight nobody has said the usual one is taken',
        );
        self::assertGreaterThan(Thickness::of($plain, [1 => 120.0]), Thickness::of($plain, [1 => 300.0]));
    }

    public function testASizeKnowsItsName(): void
    {
        self::assertSame([CardSize::A2, CardSize::A2, null], [
            CardSize::of(Designs::sides(68, 88)),
            CardSize::of(Designs::sides(88, 68)),
            CardSize::of(Designs::sides(68, 89)),
        ]);
    }

    /** @param \Closure(): mixed $work */
    public static function refused(\Closure $work): string
    {
        try {
            $work();
        } catch (InvalidDesign $refused) {
            return $refused->field;
        }
        self::fail('It was let through.');
    }

    /**
     * @param array<string, mixed> $kept
     *
     * @return array<string, mixed>
     */
    private static function throughJson(array $kept): array
    {
        /** @var array<string, mixed> $read */
        $read = json_decode(json_encode($kept, \JSON_THROW_ON_ERROR), true, 32, \JSON_THROW_ON_ERROR);

        return $read;
    }

    private static function printed(Sides $sides): string
    {
        $format = new LengthFormat(LengthUnit::Inch);

        return $format->number($sides->size()->width).' × '.$format->number($sides->size()->height);
    }
}
