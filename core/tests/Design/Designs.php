<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Design;

use Lottel\Core\Cutting\PaperWish;
use Lottel\Core\Design\Block;
use Lottel\Core\Design\BlockKind;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\Mat;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\Rect;
use Lottel\Core\Design\Sides;
use Lottel\Core\Measure\Length;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Designs for tests; lengths in sixteenths of an inch. */
final class Designs
{
    public const UNIT = Length::TICKS_PER_INCH / 16;

    public static function sides(int $width, int $height): Sides
    {
        return new Sides($width * self::UNIT, $height * self::UNIT);
    }

    public static function rect(int $x, int $y, int $width, int $height): Rect
    {
        return new Rect($x * self::UNIT, $y * self::UNIT, $width * self::UNIT, $height * self::UNIT);
    }

    /** An A2 card with mat, panel and a strip on foam. */
    public static function card(int $quantity = 8): Design
    {
        return (new Design(Form::Card, $quantity, self::sides(68, 88), Fold::Top, new PaperChoice(1)))
            ->and(Layer::mat(0, 'mat', self::UNIT)->of(new PaperChoice(2)))
            ->and(Layer::mat(0, 'panel', self::UNIT)->of(new PaperChoice(3, PaperWish::Near)))
            ->and(Layer::strip(0, 'strip', self::sides(56, 12), true)->of(new PaperChoice(4, PaperWish::Scraps)));
    }

    /** A page of 12 × 12 in. */
    public static function page(Form $form = Form::Page): Design
    {
        return new Design($form, 1, self::sides(192, 192));
    }

    public static function photo(int $number, int $x, int $y, int $width = 64, int $height = 96): Block
    {
        return new Block(0, 'photo '.$number, BlockKind::Photo, self::rect($x, $y, $width, $height), [new Mat(2 * self::UNIT, new PaperChoice(5))]);
    }

    /** @return iterable<int, Design> cards of all sorts, the same ones each time */
    public static function manyCards(int $many): iterable
    {
        $dice = new Randomizer(new Mt19937(12));
        for ($one = 0; $one < $many; ++$one) {
            $finished = new Sides($dice->getInt(40, 200) * 127, $dice->getInt(40, 200) * 127);
            $design = new Design(Form::Card, $dice->getInt(1, 40), $finished, Fold::cases()[$dice->getInt(0, 4)], new PaperChoice(9));
            $below = $finished;
            for ($layers = $dice->getInt(0, 6); $layers > 0; --$layers) {
                $layer = self::layerOn($below, $dice);
                $design = $design->and($layer);
                $below = !$layer->kind->carriesNext() ? $below : ($layer->size ?? $below->less((int) $layer->reveal));
            }
            yield $one => $design;
        }
    }

    private static function layerOn(Sides $below, Randomizer $dice): Layer
    {
        $kind = LayerKind::cases()[$dice->getInt(0, 4)];
        $size = new Sides($dice->getInt(1, $below->width), $dice->getInt(1, $below->height));
        $reveal = $dice->getInt(0, max(0, intdiv(min($below->width, $below->height) - 1, 2)));
        $left = $below->less($reveal);
        $hasWindow = LayerKind::Frame === $kind && $left->width > 1 && $left->height > 1;
        $kind = LayerKind::Frame === $kind && !$hasWindow ? LayerKind::Mat : $kind;

        return new Layer(
            0,
            $kind->value,
            $kind,
            reveal: $kind->hasReveal() ? $reveal : null,
            size: $kind->hasReveal() ? null : $size,
            window: $hasWindow ? new Sides($dice->getInt(1, $left->width - 1), $dice->getInt(1, $left->height - 1)) : null,
            x: $kind->hasReveal() || 0 === $dice->getInt(0, 1) ? null : $dice->getInt(0, $below->width - $size->width),
            y: $kind->hasReveal() || 0 === $dice->getInt(0, 1) ? null : $dice->getInt(0, $below->height - $size->height),
            isOnFoam: 1 === $dice->getInt(0, 1),
            isStamped: 1 === $dice->getInt(0, 1),
            paper: new PaperChoice($dice->getInt(1, 3)),
        );
    }
}
