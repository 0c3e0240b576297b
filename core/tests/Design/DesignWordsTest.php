<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Design;

use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Design\DesignWords;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\PassedOver;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DesignWordsTest extends TestCase
{
    /** @return iterable<string, array{Form, int, string}> pieces as name and size */
    public static function worded(): iterable
    {
        yield '8 cards, A2, top fold' => [Form::Card, 8, 'base 4¼ × 11'];
        yield '8 A2 top-fold cards' => [Form::Card, 8, 'base 4¼ × 11'];
        yield '8 cards A2, mat, panel, strip on foam' => [Form::Card, 8, 'base 4¼ × 11, mat 4⅛ × 5⅜, panel 4 × 5¼, strip 3½ × ¾'];
        yield '12 birthday cards, 5 × 7, side fold' => [Form::Card, 12, 'base 10 × 7'];
        yield '1 card, 5 × 7' => [Form::Card, 1, 'base 5 × 14'];
        yield '6 cards, 5 in square, gate fold, mat 1/8' => [Form::Card, 6, 'base 10 × 5, mat 4¾ × 4¾'];
        yield '4 slimline cards, flat, panel 3 × 8' => [Form::Card, 4, 'base 3½ × 8½, panel 3 × 8'];
        yield '12 strip cards, A2' => [Form::Card, 12, 'base 4¼ × 11'];
        yield '2 cards A2, two mats, frame with window 3 × 4' => [Form::Card, 2, 'base 4¼ × 11, mat 4⅛ × 5⅜, mat 4 × 5¼, frame 3⅞ × 5⅛'];
        yield '30 tags 2 × 4' => [Form::Tag, 30, 'tag 2 × 4'];
        yield 'six bookmarks, 2 × 6' => [Form::Strip, 6, 'strip 2 × 6'];
        yield '12 × 12 page, three 4 × 6 photos' => [Form::Page, 1, 'photo mat 4¼ × 6¼, photo mat 6¼ × 4¼'];
        yield 'one 12 × 12 page' => [Form::Page, 1, ''];
        yield 'two-page layout with six 4 × 6 photos' => [Form::Spread, 1, 'photo mat 4¼ × 6¼, photo mat 6¼ × 4¼'];
    }

    #[DataProvider('worded')]
    public function testADesignIsReadOutOfWords(Form $form, int $quantity, string $pieces): void
    {
        $read = DesignWords::read((string) $this->dataName(), LengthUnit::Inch) ?? self::fail('No design.');
        $format = new LengthFormat(LengthUnit::Inch);
        self::assertSame([$form, $quantity], [$read->design->form, $read->design->quantity]);
        $number = static fn (int $ticks): string => $format->number(Length::ofTicks($ticks));
        self::assertSame($pieces, implode(', ', array_map(
            static fn (DesignPiece $piece): string => $piece->name.' '.$number($piece->size->width).' × '.$number($piece->size->height),
            $read->design->pieces(),
        )));
    }

    /** @return iterable<string, array{string}> */
    public static function wordedInMillimetres(): iterable
    {
        yield '8 cards, A6, top fold' => ['base 105 × 296'];
        yield '8 cards, A5, side fold' => ['base 296 × 210'];
        yield '6 cards, DL, side fold' => ['base 198 × 210'];
        yield '6 C6 cards, side fold' => ['base 210 × 148'];
        yield '6 cards for friends, C5, side fold' => ['base 296 × 210'];
        yield '4 cards, 150 square, side fold' => ['base 300 × 150'];
        yield '4 cards, 150 mm square, side fold' => ['base 300 × 150'];
        yield '4 cards, 15 cm square, side fold' => ['base 300 × 150'];
        yield '4 cards, 6 in square, side fold' => ['base 304.8 × 152.4'];
        yield '8 cards, A6, flat, mat, strip' => ['base 105 × 148, mat 101 × 144, strip 91 × 20'];
        yield '305 × 305 page, two 100 × 150 photos' => ['photo mat 106 × 156'];
    }

    #[DataProvider('wordedInMillimetres')]
    public function testARoomInMillimetresReadsItsOwnSizes(string $pieces): void
    {
        $read = DesignWords::read((string) $this->dataName(), LengthUnit::Millimetre) ?? self::fail('No design.');
        $format = new LengthFormat(LengthUnit::Millimetre);
        $number = static fn (int $ticks): string => $format->number(Length::ofTicks($ticks));
        self::assertSame($pieces, implode(', ', array_map(
            static fn (DesignPiece $piece): string => $piece->name.' '.$number($piece->size->width).' × '.$number($piece->size->height),
            $read->design->pieces(),
        )));
    }

    public function testWhatIsTakenAsUsualIsToldAsTheRoomMeasures(): void
    {
        $told = static fn (string $words, LengthUnit $unit): string => (string) DesignWords::read($words, $unit)?->sentence();
        self::assertSame(
            'Not said, so taken as usual: a top fold, 2 mm of what is beneath seen around the mat and a strip 20 mm high, 5 mm from the sides.',
            $told('8 cards A6, mat, strip', LengthUnit::Millimetre),
        );
        self::assertSame('Not said, so taken as usual: A6, which goes into C6.', $told('6 C6 cards, side fold', LengthUnit::Millimetre));
        self::assertSame('Not said, so taken as usual: pages of 305 × 305 mm.', $told('one page', LengthUnit::Millimetre));
        self::assertSame('Not said, so taken as usual: pages of 12 × 12 in.', $told('one page', LengthUnit::Inch));
        self::assertNull(DesignWords::read('4 cards, 150 square, side fold', LengthUnit::Inch), 'a card of 150 in is asked about');
        self::assertNull(DesignWords::read('4 cards, 5 × 7, side fold', LengthUnit::Millimetre), 'and one of 5 mm');
    }

    public function testWhatIsNotSaidIsTold(): void
    {
        $read = DesignWords::read('8 cards A2, mat', LengthUnit::Inch);
        self::assertSame('Not said, so taken as usual: a top fold and 1/16 in of what is beneath seen around the mat.', $read?->sentence());
        self::assertSame('', DesignWords::read('8 cards, A2, top fold, mat 1/8', LengthUnit::Inch)?->sentence());
        self::assertStringContainsString('2 photos left out', (string) DesignWords::read('page, 12 × 12, five 4 × 6 photos', LengthUnit::Inch)?->sentence());
    }

    /** @return iterable<string, array{string}> */
    public static function notWorded(): iterable
    {
        yield 'no form' => ['8 people, one card each'];
        yield 'no size' => ['6 thank-you cards'];
        yield 'something else' => ['4 boxes'];
        yield 'nothing' => [''];
        yield 'a card of nothing' => ['8 cards, 0 × 5'];
    }

    #[DataProvider('notWorded')]
    public function testOtherWordsAreNone(string $words): void
    {
        self::assertNull(DesignWords::read($words, LengthUnit::Inch));
    }

    public function testFoldsAreRead(): void
    {
        $folds = ['top fold' => Fold::Top, 'side-fold' => Fold::Side, 'gatefold' => Fold::Gate, 'trifold' => Fold::TriFold, 'flat' => Fold::None];
        foreach ($folds as $words => $fold) {
            self::assertSame($fold, DesignWords::read('3 cards, A2, '.$words, LengthUnit::Inch)?->design->fold);
        }
    }

    /** Words of any sort are read or not, and never break. */
    public function testAnyWordsAreSurvived(): void
    {
        mt_srand(5);
        $words = ['8', 'cards', 'A2', 'mat', '×', '12', '1/0', '99999', 'photos', 'three', 'strip', 'on foam', ',',
            'page', '4 × 6', 'window', '½', 'square', '-', 'ü'];
        for ($try = 0; $try < 400; ++$try) {
            $text = implode(' ', array_map(static fn (): string => $words[mt_rand(0, \count($words) - 1)], range(0, mt_rand(0, 12))));
            $read = DesignWords::read($text, LengthUnit::Millimetre);
            self::assertSame($read?->design, $read?->design->checked());
        }
    }

    public function testWordsOfWhichNothingWasMadeAreTold(): void
    {
        $line = '6 thank you cards, 5 x 7, side fold, Gull base, Deep Channel mat, Fog panel, Lamp Oil strip on foam, by 20 December';
        self::assertSame(['Gull base', 'Deep Channel', 'Fog', 'Lamp Oil', 'by 20 December'], PassedOver::in($line, LengthUnit::Inch, true));
        self::assertSame([], PassedOver::in('8 cards, A2, top fold, two mats, panel 4 × 5 1/4, mat 1/8, strip on foam', LengthUnit::Inch, true));
        self::assertSame([], PassedOver::in('12 × 12 page, three 4 × 6 photos', LengthUnit::Inch, true));
        self::assertSame(['A2', 'for Maren'], PassedOver::in('Something, A2, for Maren', LengthUnit::Inch, false), 'of a name alone nothing else was made');
        self::assertSame('Not understood, and kept in its note: “for Maren”.', PassedOver::sentence('8 cards, A2, for Maren', LengthUnit::Inch, true));
        self::assertSame('The rest is kept in its note: “side fold”, “mat”.', PassedOver::sentence('8 cards, side fold, mat', LengthUnit::Inch, false));
        self::assertTrue(DesignWords::lacksSize('4 cards, 150 square', LengthUnit::Inch));
        self::assertFalse(DesignWords::lacksSize('Birthday cards', LengthUnit::Inch), 'a name is no such sentence');
        self::assertFalse(DesignWords::lacksSize('4 cards, A2', LengthUnit::Inch));
    }

    public function testALongSentenceEndsWithAWholeWord(): void
    {
        self::assertSame('Cards for…', Makes::beginning('Cards for everybody', 14));
        self::assertSame('Cards', Makes::beginning('Cards', 14));
        self::assertSame(14, mb_strlen(Makes::beginning(str_repeat('x', 40), 14)));
    }
}
