<?php

declare(strict_types=1);

namespace Lottel\Core\Measure;

/**
 * What is usual in a room that measures in inches, or in millimetres: what is taken where nobody has said, and what is shown as an
 * example. The one place for both. All of it is common practice, no source; a layout sheet of 12 × 12 in is sold as 305 × 305 mm.
 */
final readonly class Usual
{
    private function __construct(private LengthUnit $unit)
    {
    }

    public static function in(LengthUnit $unit): self
    {
        return new self($unit);
    }

    /** Returns how much of what is beneath is seen on each side of a mat or panel. */
    public function reveal(): Length
    {
        return $this->either(1, 20);
    }

    /** Returns how much of its mat is seen on each side of a photo. */
    public function photoReveal(): Length
    {
        return $this->either(2, 30);
    }

    /** Returns what lies between two photos. */
    public function gutter(): Length
    {
        return $this->either(4, 50);
    }

    /** Returns how near to the edge of its page a photo comes. */
    public function margin(): Length
    {
        return $this->either(8, 100);
    }

    public function heightOfStrip(): Length
    {
        return $this->either(12, 200);
    }

    /** Returns how far a strip ends from either side of what it lies on. */
    public function insetOfStrip(): Length
    {
        return $this->either(4, 50);
    }

    public function widthOfFrame(): Length
    {
        return $this->either(8, 120);
    }

    /** Returns the size of a layout page. */
    public function page(): Size
    {
        return LengthUnit::Inch === $this->unit ? Size::ofSixteenths(192, 192) : Size::ofMillimetres(305, 305);
    }

    /** Returns the sheet that a printer takes: letter, or A4 (ISO 216). */
    public function printedPage(): Size
    {
        return LengthUnit::Inch === $this->unit ? Size::ofSixteenths(136, 176) : Size::ofMillimetres(210, 297);
    }

    /** Returns the longest cut of a trimmer: a metric one takes a layout sheet of 305 mm. */
    public function longestCut(): Length
    {
        return $this->either(192, 3100);
    }

    /** Returns the narrowest strip that is cut cleanly. */
    public function narrowestStrip(): Length
    {
        return $this->either(2, 30);
    }

    /** Returns the short side from which on an offcut is kept. */
    public function keptShort(): Length
    {
        return $this->either(16, 250);
    }

    /** Returns the long side from which on an offcut is kept. */
    public function keptLong(): Length
    {
        return $this->either(32, 500);
    }

    public function exampleOfSheet(): string
    {
        return $this->say('8 1/2 × 11', '210 × 297, A4');
    }

    public function exampleOfPiece(): string
    {
        return $this->say('4 1/4 × 5 1/2', '105 × 148');
    }

    public function exampleOfPage(): string
    {
        return $this->say('12 × 12', '305 × 305');
    }

    public function exampleOfScrap(): string
    {
        return $this->say('3 × 6', '75 × 150');
    }

    /** A scrap that lacks a corner. */
    public function exampleOfCorner(): string
    {
        return $this->say('6 × 8 without 3 × 5', '150 × 200 without 75 × 120');
    }

    public function exampleOfDie(): string
    {
        return $this->say('3 × 4, 2 × 3', '90 × 120; 60 × 80');
    }

    public function exampleOfStrip(): string
    {
        return $this->say('3 1/2 × 3/4', '90 × 20');
    }

    /** Of a ribbon. */
    public function exampleOfBreadth(): string
    {
        return $this->say('5/8', '16');
    }

    public function exampleOfTape(): string
    {
        return $this->say('1/4', '6');
    }

    /** Of a stencil. */
    public function exampleOfOpening(): string
    {
        return $this->say('5 × 5', '125 × 125');
    }

    public function exampleOfRows(): string
    {
        return $this->say('2 1/2, 2 1/2, 3 1/2, 5', '60, 60, 90, 120');
    }

    public function exampleOfRibbon(): string
    {
        return $this->say('5 yd', '5 m');
    }

    /** One length for many, where a thing is counted otherwise. */
    public function exampleOfRecount(): string
    {
        return $this->say('36 in', '900 mm');
    }

    public function exampleOfWeight(): string
    {
        return $this->say('3 oz', '90 g');
    }

    public function exampleOfLoad(): string
    {
        return $this->say('12 lb', '5 kg');
    }

    public function exampleOfPaper(): string
    {
        return $this->say('Petrel card; ; 24; sea; Petrel; 12 × 12; 80 lb cover', 'Petrel card; ; 24; sea; Petrel; A4; 220 g/m²');
    }

    public function exampleOfGrammage(): string
    {
        return $this->say('80 lb cover', '220 g/m²');
    }

    /** A line of pieces that are to be cut. */
    public function exampleOfPieces(): string
    {
        return $this->say('12 panels 4 × 5 1/4 Petrel', '12 panels 100 × 140 Petrel');
    }

    /** Further lines of pieces, in words. */
    public function furtherPieces(): string
    {
        return $this->say(
            '“40 A2 panels”, “25 top-fold bases”, “6 mats 4 1/8 × 5 3/8 Buoy upright”',
            '“40 A6 panels”, “25 top-fold A6 bases”, “6 mats 101 × 144 Buoy upright”',
        );
    }

    /** A card said in one line. */
    public function exampleOfCards(): string
    {
        return $this->say('8 cards, A2, top fold, mat, panel', '8 cards, A6, top fold, mat, panel');
    }

    /** A page said in one line. */
    public function exampleOfLayout(): string
    {
        return $this->say('12 × 12 page, three 4 × 6 photos', '305 × 305 page, three 100 × 150 photos');
    }

    public function exampleOfDistance(): string
    {
        return $this->say('48 in', '1200 mm');
    }

    /** A size of furniture. */
    public function exampleOfFurniture(): string
    {
        return $this->say('24 in', '600 mm');
    }

    private function either(int $sixteenths, int $tenths): Length
    {
        return LengthUnit::Inch === $this->unit ? Length::ofInches($sixteenths, 16) : Length::ofTenthMillimetres($tenths);
    }

    private function say(string $inInches, string $inMillimetres): string
    {
        return LengthUnit::Inch === $this->unit ? $inInches : $inMillimetres;
    }
}
