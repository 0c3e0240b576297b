<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\Sheet;
use Lottel\Core\Paper\SheetSize;

/**
 * A new thing as it will be written down: what its line says, what its place says, and what its name tells, in this order.
 * The preview shows the same object that is written.
 */
final readonly class PastedThing
{
    public const MOST_CHARACTERS = 200;
    private const FIELDS = 7;
    private const MOST_PIECES = 999_999;

    /**
     * @param list<string> $themes
     * @param string|null $colour as hex
     * @param list<Hazard> $hazards
     * @param bool $isKindGuessed whether its kind was told by its name alone
     */
    private function __construct(
        public string $name,
        public string $maker,
        public Kind $kind,
        public Tracking $tracking,
        public int $quantity,
        public array $themes,
        public ?string $colour,
        public string $colourName,
        public string $season,
        public array $hazards,
        public bool $isKindGuessed,
        public Sheet $sheet = new Sheet(),
        public ?CutSizes $cutSizes = null,
    ) {
    }

    /**
     * Reads lines of `name; maker; quantity; themes; colour; size; weight`, of which only the name must be there; themes are parted
     * by commas, a colour is a hex code or a name, size and weight are those of a sheet, such as `8 1/2 × 11` and `80 lb cover`;
     * of a die the size is what it cuts, several parted by commas.
     * Empty lines are passed over.
     *
     * @return list<self>
     *
     * @throws InvalidPaste if a line has no name, is too long, has too many fields, or its quantity, size or weight cannot be read
     */
    public static function lines(string $text, PlaceRule $rule, QuantityText $quantities, ColourWords $colours = new ColourWords()): array
    {
        $things = [];
        foreach (self::written($text) as $index => $line) {
            $things[] = self::line($line, $index + 1, $rule, $quantities, $colours);
        }

        return $things;
    }

    /** Returns how many lines something is written on. */
    public static function count(string $text): int
    {
        return \count(self::written($text));
    }

    /**
     * Returns a thing of which only the name, and how much of it there is, are known.
     *
     * @throws InvalidPaste if the name is empty or too long, or the quantity cannot be read
     */
    public static function named(string $name, string $quantity, PlaceRule $rule, QuantityText $quantities): self
    {
        return self::of([$name, '', $quantity], 1, $rule, $quantities, new ColourWords());
    }

    /**
     * Returns a thing as a person has corrected it: kind and counting as chosen, the rest as typed.
     *
     * @param list<string> $fields name, maker, quantity, themes, colour, size, weight
     *
     * @throws InvalidPaste if the name is empty or too long, or quantity, colour, size or weight cannot be read
     */
    public static function corrected(array $fields, int $number, Kind $kind, Tracking $tracking, QuantityText $quantities, ColourWords $colours): self
    {
        return self::of(array_map(trim(...), $fields), $number, new PlaceRule($kind), $quantities, $colours, $tracking);
    }

    /**
     * Returns a thing out of cells that were read already, such as those of a spreadsheet.
     *
     * @param list<string> $fields name, maker, quantity, themes, colour, size, weight
     *
     * @throws InvalidPaste if the name is empty or too long, or quantity, colour, size or weight cannot be read
     */
    public static function fromCells(array $fields, PlaceRule $rule, QuantityText $quantities, ColourWords $colours): self
    {
        return self::of($fields, 1, $rule, $quantities, $colours);
    }

    /** Returns the colour that its name speaks of, such as `navy` of “Navy card”; null where it says one already, or speaks of none. */
    public function colourInName(ColourWords $colours): ?string
    {
        $words = preg_split('/\s+/u', $this->name, -1, \PREG_SPLIT_NO_EMPTY) ?: [];
        foreach (null !== $this->colour || '' !== $this->colourName || !$this->kind->hasOneColour() ? [] : [2, 1] as $many) {
            $first = implode(' ', \array_slice($words, 0, $many));
            if (\count($words) > $many && null !== $colours->find($first)) {
                return $first;
            }
        }

        return null;
    }

    /** @return array<int, string> the lines that are not empty, by their number from nought */
    private static function written(string $text): array
    {
        return array_filter(preg_split('/\R/u', $text) ?: [], static fn (string $line): bool => '' !== trim($line));
    }

    /** Returns the size that its name speaks of; null where it says one already, speaks of none, or is no sheet. */
    public function sizeInName(LengthUnit $unit): ?Size
    {
        return null !== $this->sheet->size || !$this->kind->isSheet() || Kind::Envelope === $this->kind ? null : SheetSize::inName($this->name, $unit);
    }

    private static function line(string $line, int $number, PlaceRule $rule, QuantityText $quantities, ColourWords $colours): self
    {
        $fields = array_map(trim(...), explode(';', $line));
        if (\count($fields) > self::FIELDS) {
            throw InvalidPaste::tooManyFields($number);
        }

        return self::of($fields, $number, $rule, $quantities, $colours);
    }

    /** @param list<string> $fields */
    private static function of(array $fields, int $number, PlaceRule $rule, QuantityText $quantities, ColourWords $colours, ?Tracking $counted = null): self
    {
        [$name, $maker, $quantity, $themes, $colour, $size, $weight] = $fields + array_fill(0, self::FIELDS, '');
        if ('' === $name) {
            throw InvalidPaste::noName($number);
        }
        if (mb_strlen($name) > self::MOST_CHARACTERS || mb_strlen($maker) > 120) {
            throw InvalidPaste::tooLong($number);
        }
        $guess = null === $rule->kind || $rule->yieldsToNames ? KindWords::kind($name) : null;
        $kind = $guess ?? $rule->kind ?? ('' === $size.$weight ? Kind::Other : Kind::Paper);
        [$tracking, $amount] = self::amount($kind, $quantity, $number, $quantities, $counted);
        $own = array_values(array_unique(array_filter(array_map(trim(...), explode(',', $themes)), static fn (string $theme): bool => '' !== $theme)));
        [$hex, $colourName] = self::colour($colour, $number, $colours);

        return new self(
            $name,
            '' === $maker ? $rule->maker() : $maker,
            $kind,
            $tracking,
            $amount,
            [] === $own ? $rule->themes() : $own,
            $hex,
            $colourName,
            $rule->season,
            KindWords::hazards($kind, $name),
            null !== $guess,
            Kind::Die === $kind ? new Sheet() : self::sheet($kind, $size, $weight, $number, $quantities->unit),
            Kind::Die === $kind ? self::cutSizes($size, $weight, $number, $quantities->unit) : null,
        );
    }

    /**
     * Returns how a thing is counted and how much of it there is: as its kind usually is, as its quantity says, and by count
     * where there are several. A container comes in full unless something else is said; a ribbon of unknown length is one roll.
     *
     * @return array{Tracking, int}
     */
    private static function amount(Kind $kind, string $text, int $number, QuantityText $quantities, ?Tracking $counted): array
    {
        $usual = $counted ?? $kind->usualTracking();
        if ('' === $text) {
            return Tracking::Length === $usual && null === $counted ? [Tracking::One, 1] : [$usual, Tracking::Level === $usual ? Tracking::FULL : 1];
        }
        $isSeveral = 1 === preg_match('/^\d+$/D', $text) && '1' !== $text && $usual->movesWhole();
        $tracking = $counted ?? $quantities->tells($text) ?? ($isSeveral ? Tracking::Count : $usual);
        try {
            $amount = $quantities->parse('1' === $text && Tracking::Level === $tracking ? 'full' : $text, $tracking);

            return Tracking::Count === $tracking && $amount > self::MOST_PIECES
                ? throw RefusedMovement::quantityOutOfRange(self::MOST_PIECES)
                : [$tracking, $amount];
        } catch (RefusedMovement|InvalidLength $refused) {
            throw InvalidPaste::badQuantity($number, $refused->getMessage());
        }
    }

    private static function sheet(Kind $kind, string $size, string $weight, int $number, LengthUnit $unit): Sheet
    {
        if ('' === $size.$weight) {
            return new Sheet();
        }
        if (!$kind->isSheet()) {
            throw InvalidPaste::badSize($number, 'Only papers, scraps, envelopes, bases and dies have a size.');
        }
        try {
            return new Sheet('' === $size ? null : SheetSize::read($size, $unit), '' === $weight ? null : Grammage::parse($weight));
        } catch (InvalidLength $wrong) {
            throw InvalidPaste::badSize($number, $wrong->getMessage());
        } catch (InvalidGrammage $wrong) {
            throw InvalidPaste::badWeight($number, $wrong->getMessage());
        }
    }

    private static function cutSizes(string $sizes, string $weight, int $number, LengthUnit $unit): ?CutSizes
    {
        if ('' !== $weight) {
            throw InvalidPaste::badWeight($number, 'A die has no weight of paper.');
        }
        try {
            return '' === $sizes ? null : CutSizes::read($sizes, $unit);
        } catch (InvalidLength $wrong) {
            throw InvalidPaste::badSize($number, $wrong->getMessage());
        }
    }

    /** @return array{string|null, string} */
    private static function colour(string $text, int $number, ColourWords $colours): array
    {
        if ('' === $text) {
            return [null, ''];
        }
        $colour = $colours->find($text)?->hex();
        if (str_starts_with($text, '#')) {
            return [$colour ?? throw InvalidPaste::badColour($number), ''];
        }

        return [$colour, mb_substr($colours->spelt($text), 0, 60)];
    }
}
