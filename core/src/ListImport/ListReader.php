<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindWords;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\Basis;

/** Reads rows of somebody's list, once it is known what its columns say. */
final readonly class ListReader
{
    /** What a quantity may carry without saying more (common practice, no source). */
    private const PIECES = '~\s*(?:sheets?|shts?|pcs?\.?|pieces?|each|ea\.?|units?|x|sets?|packs?|pkgs?\.?)$~iu';

    private const MOST = ['words' => 4000, 'collection' => 120, 'shop' => 120, 'place' => 120, 'maker' => 120];
    private const MOST_NOTE = 4000;
    private const MOST_CENTS = 100_000_000;

    /** A cell that was a fraction until a spreadsheet took it for a day of the year. */
    private const DATE = '/^\d{4}-\d{2}-\d{2}(?:[ T]00:00(?::00)?)?$/D';

    /**
     * @param list<ListField|null> $columns what each column says
     * @param list<string> $units what bare numbers of a column are measured in, empty where nothing is said
     * @param Kind|null $kind what a thing is of which neither a column nor its name tells it
     * @param Basis $pounds of what pounds are that do not say it
     */
    public function __construct(
        private array $columns,
        private array $units,
        private QuantityText $quantities,
        private ColourWords $colours = new ColourWords(),
        private ?Kind $kind = null,
        private Basis $pounds = Basis::Cover,
    ) {
    }

    /**
     * @param list<string> $cells
     *
     * @return ListRow|null null for an empty row
     *
     * @throws InvalidRow with the first thing that cannot be read
     */
    public function read(array $cells): ?ListRow
    {
        $said = $this->said($cells);
        if ([] === $said) {
            return null;
        }
        $kind = $this->kind($said['kind'] ?? '', $said['name'] ?? '');
        [$quantity, $isThere] = $this->quantity($said['quantity'] ?? '');
        $size = $this->size($said);
        [$weight, $isBasisTaken] = $this->weight($said['weight'] ?? '');
        $note = $said['note'] ?? '';
        if (null !== $kind && !$kind->isSheet() && Kind::Die !== $kind) {
            $more = [$note, '' === $size ? '' : 'Size: '.$size, '' === $weight ? '' : 'Weight: '.$weight];
            $note = implode("\n", array_filter($more, self::isSaid(...)));
            [$size, $weight] = ['', ''];
        }
        if (Kind::Die === $kind) {
            $weight = '';
        }
        $themes = $this->themes($said['themes'] ?? '');

        return new ListRow(
            $this->thing([$said['name'] ?? '', $said['maker'] ?? '', $quantity, $themes, $said['colour'] ?? '', $size, $weight], $kind),
            $isThere,
            $said['place'] ?? '',
            $said['words'] ?? '',
            $said['collection'] ?? '',
            mb_substr($note, 0, self::MOST_NOTE),
            $this->cents($said['price'] ?? ''),
            $said['shop'] ?? '',
            $this->season($said['season'] ?? ''),
            $isBasisTaken && '' !== $weight,
        );
    }

    /**
     * A weight as its column says it: of `110 lb / 300 gsm` the grams, of bare pounds those of the list.
     *
     * @return array{string, bool} as it is typed elsewhere, and whether it is not said of what the pounds are
     */
    private function weight(string $said): array
    {
        $hasPounds = 1 === preg_match('~lb|#|pound~iu', $said);
        if ($hasPounds && 1 === preg_match('~\d+(?:[.,]\d+)?\s*(?:gsm|g/m²|g/m2)~iu', $said, $grams)) {
            return [$grams[0], false];
        }
        $isBare = 1 === preg_match('~^(?:\d+(?:[.,]\d+)?\s*(?:lbs?\.?|#|pounds?)|(?:lbs?\.?|#)\s*\d+(?:[.,]\d+)?)$~iuD', $said);

        return [$isBare ? $said.' '.$this->pounds->value : $said, $isBare];
    }

    /**
     * @param list<string> $cells
     *
     * @return array<string, string> what is said, by field
     */
    private function said(array $cells): array
    {
        $said = [];
        foreach ($this->columns as $column => $field) {
            $between = ListField::Words === $field || ListField::Note === $field ? "\n" : ' ';
            $text = trim((string) preg_replace('/[\p{Cc}\x{00A0}\x{FDD0}-\x{FDEF}\x{FFFE}\x{FFFF}]+/u', $between, $cells[$column] ?? ''));
            if (null === $field || '' === $text) {
                continue;
            }
            if (mb_strlen($text) > (self::MOST[$field->value] ?? self::MOST_NOTE)) {
                throw new InvalidRow($field, \sprintf('This is too long; %d characters at the most.', self::MOST[$field->value] ?? self::MOST_NOTE));
            }
            $said[$field->value] = $this->measured($text, $this->units[$column] ?? '', $field);
        }

        return $said;
    }

    /** A bare number is measured in what the heading names; a fraction that became a day is told. */
    private function measured(string $text, string $unit, ListField $field): string
    {
        $isMeasure = \in_array($field, [ListField::Quantity, ListField::Size, ListField::Width, ListField::Height, ListField::Weight], true);
        if ($isMeasure && 1 === preg_match(self::DATE, $text)) {
            throw new InvalidRow($field, 'This is a day. A spreadsheet makes one out of a fraction such as 1/4: write it once more.');
        }
        $isSide = \in_array($field, [ListField::Size, ListField::Width, ListField::Height], true);
        $fits = match ($unit) {
            'in', 'mm', 'cm' => $isSide,
            'gsm', 'lb' => ListField::Weight === $field,
            default => false,
        };
        $isBare = 1 === preg_match('~^[\d\s./,×xX*½¼¾⅛⅜⅝⅞]+$~u', $text);

        // A bare weight can only be grams where a room measures in millimetres.
        $isGrams = ListField::Weight === $field && '' === $unit && LengthUnit::Millimetre === $this->quantities->unit;

        return match (true) {
            $isGrams && $isBare => $text.' gsm',
            !$fits || !$isBare => $text,
            'lb' === $unit => $text.' lb',
            'gsm' === $unit => $text.' gsm',
            default => $text.' '.$unit,
        };
    }

    private function kind(string $said, string $name): ?Kind
    {
        $plain = mb_strtolower($said);
        $exact = Kind::tryFrom($plain) ?? Kind::tryFrom((string) preg_replace('/s$/u', '', $plain));

        return $exact ?? ('' === $said ? null : KindWords::kind($said)) ?? KindWords::kind($name) ?? $this->kind ?? ('' === $said ? null : Kind::Other);
    }

    /** @return array{string, bool} as it is typed elsewhere, and whether there is any */
    private function quantity(string $said): array
    {
        $bare = trim((string) preg_replace(self::PIECES, '', $said));
        $whole = (string) preg_replace('/^(\d{1,3}(?:,\d{3})+|\d+)(?:\.0+)?$/D', '$1', $bare);
        $number = 1 === preg_match('/^\d{1,3}(?:,\d{3})+$/D', $whole) ? str_replace(',', '', $whole) : $whole;
        if (1 === preg_match('/^-/', $number)) {
            throw new InvalidRow(ListField::Quantity, 'There cannot be less than nothing.');
        }
        $isThere = 1 !== preg_match('/^(0+|none|-|no|out|empty)$/iD', $number);

        return [$isThere ? $number : '', $isThere];
    }

    /** @param array<string, string> $said */
    private function size(array $said): string
    {
        [$size, $width, $height] = [$said['size'] ?? '', $said['width'] ?? '', $said['height'] ?? ''];

        return '' === $size && '' !== $width && '' !== $height ? "{$width} × {$height}" : $size;
    }

    private function themes(string $said): string
    {
        return implode(', ', array_filter(array_map(trim(...), preg_split('/[,;|\n]+/u', $said) ?: []), self::isSaid(...)));
    }

    private function cents(string $said): ?int
    {
        if ('' === $said) {
            return null;
        }
        $number = str_replace([' ', "\u{00A0}", '$', '€', '£'], '', $said);
        $number = (string) preg_replace('/,(?=\d{3}(?:\D|$))/', '', $number);
        $number = str_replace(',', '.', $number);
        if (1 !== preg_match('/^\d+(?:\.\d+)?$/D', $number) || (float) $number * 100 > self::MOST_CENTS) {
            throw new InvalidRow(ListField::Price, 'Write the price as a number, such as 3.50.');
        }

        return (int) round(100 * (float) $number);
    }

    private function season(string $said): string
    {
        $plain = mb_strtolower($said);

        return Season::tryFrom('fall' === $plain ? 'autumn' : $plain)->value ?? '';
    }

    /** @param list<string> $fields */
    private function thing(array $fields, ?Kind $kind): PastedThing
    {
        try {
            return PastedThing::fromCells($fields, new PlaceRule($kind), $this->quantities, $this->colours);
        } catch (InvalidPaste $wrong) {
            $field = ListField::tryFrom($wrong->cell()) ?? ListField::Name;
            $isMissing = ListField::Name === $field && '' === $fields[0];
            throw new InvalidRow($field, $isMissing ? 'What is it called?' : ($wrong->why ?? 'This is too long; 200 characters at the most.'), $wrong);
        }
    }

    private static function isSaid(string $text): bool
    {
        return '' !== $text;
    }
}
