<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Kit\Makes;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;
use Lottel\Core\Paper\SheetSize;
use Lottel\Core\Words\Counted;

/**
 * Reads a design out of what a kit makes, such as `8 cards A2, mat, panel, strip on foam` or `12 × 12 page, three 4 × 6 photos`. What is
 * not said is taken as it usually is (common practice, no source), and told.
 */
final class DesignWords
{
    private const FORMS = [
        '(?:two|double|2)[- ]page (?:layout|spread)s?|spreads?' => Form::Spread,
        'pocket pages?' => Form::Pockets,
        'book pages?' => Form::BookPage,
        '(?:envelope )?liners?' => Form::Liner,
        'cards?' => Form::Card,
        'tags?' => Form::Tag,
        'bookmarks?|strips?' => Form::Strip,
        '(?:one[- ]page )?(?:pages?|layouts?)' => Form::Page,
    ];
    private const FOLDS = [
        'top[- ]fold' => Fold::Top,
        'side[- ]fold' => Fold::Side,
        'gate[- ]fold|gatefold' => Fold::Gate,
        'tri-?fold' => Fold::TriFold,
        'flat' => Fold::None,
    ];
    private const NUMBERS = ['one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10];
    private const DIGITS = '[\d\/.½¼¾⅛⅜⅝⅞ ]+';
    private const SQUARE = '[\d.½¼¾⅛⅜⅝⅞ ]+(?:(?:in|mm|cm) )?square';
    private const SIZE_ALONE = '/^\s*(?:A\d|C[5-7]|DL|slimline|'.self::SQUARE.'|'.self::DIGITS.'[×x*]'.self::DIGITS.'(?:in|mm|cm)?)\s*$/iu';
    private const MOST_PHOTOS = 24;

    /** @var list<string> */
    private array $assumed = [];

    private readonly Usual $usual;
    private readonly LengthFormat $lengths;

    private function __construct(private readonly LengthUnit $unit)
    {
        [$this->usual, $this->lengths] = [Usual::in($unit), new LengthFormat($unit)];
    }

    /** Returns the design that the words speak of, and what was taken as it usually is; null where they say no form, or no size. */
    public static function read(string $text, LengthUnit $unit): ?WordedDesign
    {
        return (new self($unit))->design(trim($text));
    }

    /** Whether words speak of something with a size of its own, but say none that can be; so nothing can be designed yet. */
    public static function lacksSize(string $text, LengthUnit $unit): bool
    {
        $form = self::formOf(trim($text));

        return null !== $form && !$form->isListed() && null !== Makes::read($text)->pieces && null === self::read($text, $unit);
    }

    private function design(string $text): ?WordedDesign
    {
        $form = self::formOf($text);
        $parts = preg_split('/\s*[,;]\s*|\s+with\s+(?!(?:a\s+)?window)/u', $text) ?: [];
        $size = null === $form || $form->isListed() ? null : $this->sizeOf($form, $parts);
        if (null === $form || null === $size) {
            return null;
        }
        $design = new Design($form, Makes::read($text)->pieces ?? 1, $size, $form->isFolded() ? $this->foldOf($text) : Fold::None);
        $photos = [];
        foreach (\array_slice($parts, 1) as $part) {
            $design = $form->hasLayers() ? $this->layers($design, $part) : $design;
            array_push($photos, ...($form->hasBlocks() ? $this->photos($part) : []));
        }
        if ([] !== $photos) {
            [$design, $left] = (new PhotoRows($this->usual->gutter()->ticks, $this->usual->margin()->ticks))->on($design, $photos);
            $this->assumed[] = \sprintf('a mat that shows %s around each photo', $this->lengths->full($this->usual->photoReveal()));
            if ([] !== $left) {
                $this->assumed[] = Counted::of(\count($left), 'photo').' left out, since no more fit on the page';
            }
        }

        try {
            return new WordedDesign($design->checked(), $this->assumed);
        } catch (InvalidDesign) {
            return null;
        }
    }

    private static function formOf(string $text): ?Form
    {
        $head = preg_split('/,| with | for | from | of /u', $text)[0] ?? '';
        [$found, $at] = [null, -1];
        foreach (self::FORMS as $pattern => $form) {
            $word = '(?<![\p{L}-])(?:'.$pattern.')(?![\p{L}-])';
            if (1 === preg_match('/'.$word.'(?!.*'.$word.')/iu', $head, $m, \PREG_OFFSET_CAPTURE)
                && $m[0][1] + \strlen($m[0][0]) > $at) {
                [$found, $at] = [$form, $m[0][1] + \strlen($m[0][0])];
            }
        }

        return $found;
    }

    /** @param list<string> $parts */
    private function sizeOf(Form $form, array $parts): ?Sides
    {
        foreach ($parts as $number => $part) {
            $isOwn = 0 === $number || 1 === preg_match(self::SIZE_ALONE, $part);
            $size = $isOwn ? $this->sizeIn(0 === $number ? self::withoutNumber($part) : $part) : null;
            if (null !== $size) {
                return $size;
            }
        }
        if (Form::Page === $form || Form::Spread === $form) {
            $page = $this->usual->page();
            $this->assumed[] = 'pages of '.$this->lengths->sides($page->width, $page->height);

            return Sides::of($page);
        }

        return null;
    }

    /** A number of pieces in front is no side. */
    private static function withoutNumber(string $part): string
    {
        return (string) preg_replace('/^\s*\d{1,5}\s+(?![×x*]|by\b|\d+\/\d)/iu', '', $part);
    }

    private function sizeIn(string $part): ?Sides
    {
        try {
            $written = SheetSize::cutOutOf($part, $this->unit);
        } catch (InvalidLength) {
            return null;
        }
        if (null !== $written) {
            return Sides::of($written[0]);
        }
        $card = CardSize::named($part);
        if (null !== $card) {
            if (1 === preg_match('/(?<!\p{L})(C[5-7])(?!\d)/iu', $part, $m)) {
                $this->assumed[] = \sprintf('%s, which goes into %s', $card->value, strtoupper($m[1]));
            }

            return $card->sides();
        }
        if (1 === preg_match('/(?<![\d.\/])(\d[\d.\/ ¼½¾⅛⅜⅝⅞]*?)\s*(in|inch|mm|cm)?\s+square/iu', $part, $m)) {
            try {
                $side = trim($m[1]).' '.($m[2] ?? '');

                return Sides::of(SheetSize::read($side.' × '.$side, $this->unit));
            } catch (InvalidLength) {
                return null;
            }
        }

        return null;
    }

    private function foldOf(string $text): Fold
    {
        foreach (self::FOLDS as $pattern => $fold) {
            if (1 === preg_match('/(?<!\p{L})(?:'.$pattern.')/iu', $text)) {
                return $fold;
            }
        }
        $this->assumed[] = 'a top fold';

        return Fold::Top;
    }

    private function layers(Design $design, string $part): Design
    {
        if (1 !== preg_match('/(?<!\p{L})(mat|panel|strip|frame)(s)?(?!\p{L})/iu', $part, $m)) {
            return $design;
        }
        $kind = LayerKind::from(mb_strtolower($m[1]));
        $isOnFoam = 1 === preg_match('/(?<!\p{L})on foam/iu', $part);
        $many = 1 === preg_match('/^\s*(\d|[a-z]+)\s/iu', $part, $n) ? (int) ($n[1] ?: 0) ?: self::NUMBERS[mb_strtolower($n[1])] ?? 1 : 1;
        $said = null;
        try {
            $said = SheetSize::cutOutOf($part, $this->unit);
        } catch (InvalidLength) {
        }
        for ($one = 0; $one < min($many, 4); ++$one) {
            $layer = $this->layer($design, $kind, null === $said ? null : Sides::of($said[0]), $part, $isOnFoam);
            $design = null === $layer ? $design : $design->and($layer);
        }

        return $design;
    }

    private function layer(Design $design, LayerKind $kind, ?Sides $said, string $part, bool $isOnFoam): ?Layer
    {
        $below = $this->below($design);
        if (null === $below) {
            return null;
        }
        $name = $kind->value;
        if ($kind->hasReveal()) {
            $reveal = $this->revealIn($part, $name);
            $window = LayerKind::Frame === $kind ? ($said ?? $this->usualWindow($below->less($reveal))) : null;

            return null === $window ? Layer::mat(0, $name, $reveal, $isOnFoam) : Layer::frame(0, $name, $reveal, $window, $isOnFoam);
        }
        if (LayerKind::Panel === $kind) {
            $this->assumed[] = null === $said ? $this->seenAround('panel') : '';

            return Layer::panel(0, $name, $said ?? $below->less($this->usual->reveal()->ticks), $isOnFoam);
        }
        [$high, $inset] = [$this->usual->heightOfStrip(), $this->usual->insetOfStrip()];
        $this->assumed[] = null === $said ? \sprintf('a strip %s high, %s from the sides', $this->lengths->full($high), $this->lengths->full($inset)) : '';

        return Layer::strip(0, $name, $said ?? new Sides($below->width - 2 * $inset->ticks, $high->ticks), $isOnFoam);
    }

    private function revealIn(string $part, string $name): int
    {
        if (1 === preg_match('/(?:'.$name.'s?|reveal)\s+(?:of\s+)?([\d.\/ ¼½¾⅛]+(?:\s?(?:in|mm))?)(?![\d.\/]*\s*[×x*])/iu', $part, $m)) {
            try {
                return Length::parse(trim($m[1]), $this->unit)->ticks;
            } catch (InvalidLength) {
            }
        }
        $this->assumed[] = $this->seenAround($name);

        return $this->usual->reveal()->ticks;
    }

    private function seenAround(string $name): string
    {
        return \sprintf('%s of what is beneath seen around the %s', $this->lengths->full($this->usual->reveal()), $name);
    }

    private function usualWindow(Sides $frame): Sides
    {
        $wide = $this->usual->widthOfFrame();
        $this->assumed[] = \sprintf('a frame %s wide', $this->lengths->full($wide));

        return $frame->less($wide->ticks);
    }

    private function below(Design $design): ?Sides
    {
        $below = $design->finished;
        try {
            foreach ($design->front() as $placed) {
                $below = $placed->layer->kind->carriesNext() ? $placed->at->sides() : $below;
            }
        } catch (InvalidDesign) {
            return null;
        }

        return $below;
    }

    /** @return list<Block> */
    private function photos(string $part): array
    {
        if (1 !== preg_match('/^\s*(?:(\d{1,2}|[a-z]+)\s+)?(?=\S*\s*[\d½¼¾]*\s*[×x*])(.+?)\s*photos?/iu', $part, $m)) {
            return [];
        }
        $many = '' === $m[1] ? 1 : ((int) $m[1] ?: self::NUMBERS[mb_strtolower($m[1])] ?? 1);
        try {
            $size = Sides::of(SheetSize::read($m[2], $this->unit));
        } catch (InvalidLength) {
            return [];
        }

        return array_map(
            fn (int $number): Block => new Block(0, 'photo '.$number, BlockKind::Photo, Rect::at(0, 0, $size), [new Mat($this->usual->photoReveal()->ticks)]),
            range(1, min($many, self::MOST_PHOTOS)),
        );
    }
}
