<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Log\QuantityText;

/**
 * Lines about new things as somebody has typed or pasted them: each is read for itself, so that all mistakes are told at once. Cells are
 * parted by semicolons, or by tabs as a spreadsheet does; a first line of headings says what the columns are.
 */
final readonly class PastedLines
{
    /** The cells of a line, in the order in which they are typed. */
    public const CELLS = ['name', 'maker', 'quantity', 'themes', 'colour', 'size', 'weight'];

    /** What stands in for a name while none is typed. */
    private const NAMELESS = '?';

    /**
     * @param list<PastedLine> $lines those that are not empty
     * @param list<string> $headings the first line, where it is one of headings
     * @param list<string> $passedOver headings of columns that are not taken in here
     */
    private function __construct(public array $lines, public array $headings = [], public array $passedOver = [])
    {
    }

    public static function read(string $text, PlaceRule $rule, QuantityText $quantities, ColourWords $colours = new ColourWords()): self
    {
        $lines = $headings = $columns = [];
        foreach (preg_split('/\R/u', $text) ?: [] as $index => $line) {
            if ('' === trim($line)) {
                continue;
            }
            $cells = self::cells($line);
            if ([] === $lines && [] === $headings && self::areHeadings($line, $cells)) {
                [$headings, $columns] = [$cells, Headings::match($cells)];
                continue;
            }
            $lines[] = self::line($index + 1, trim($line), [] === $columns ? $cells : self::ordered($cells, $columns), $rule, $quantities, $colours);
        }
        $unused = array_filter(
            $headings,
            static fn (string $heading, int $column): bool => '' !== $heading && !self::isTaken($columns[$column] ?? null),
            \ARRAY_FILTER_USE_BOTH,
        );

        return new self($lines, $headings, array_values($unused));
    }

    /** @return list<PastedThing> what the lines become that can be read */
    public function things(): array
    {
        return array_map(static fn (PastedLine $line): PastedThing => $line->thing, $this->right());
    }

    /** @return list<PastedLine> */
    public function right(): array
    {
        return array_values(array_filter($this->lines, static fn (PastedLine $line): bool => $line->isRight()));
    }

    /** @return list<PastedLine> */
    public function wrong(): array
    {
        return array_values(array_filter($this->lines, static fn (PastedLine $line): bool => !$line->isRight()));
    }

    /** The lines that cannot be read, as they were typed, so that they can be typed on. */
    public function wrongText(): string
    {
        return implode("\n", array_map(static fn (PastedLine $line): string => $line->line, $this->wrong()));
    }

    /** @return list<string> */
    private static function cells(string $line): array
    {
        return array_map(trim(...), explode(str_contains($line, "\t") ? "\t" : ';', $line));
    }

    /**
     * Whether a first line is one of headings: out of a spreadsheet most of its cells are, between semicolons all.
     *
     * @param list<string> $cells
     */
    private static function areHeadings(string $line, array $cells): bool
    {
        $filled = array_values(array_filter($cells, static fn (string $cell): bool => '' !== $cell));
        $told = Headings::match($filled);
        $known = \count(array_filter($told));
        $isMost = str_contains($line, "\t") ? 2 * $known >= \count($filled) : $known === \count($filled);

        return \count($filled) > 1 && $isMost && \in_array(ListField::Name, $told, true) && Headings::areHeadings(...$filled);
    }

    private static function isTaken(?ListField $field): bool
    {
        return null !== $field && (\in_array($field->value, self::CELLS, true) || ListField::Width === $field || ListField::Height === $field);
    }

    /**
     * @param list<string> $cells
     * @param list<ListField|null> $columns
     *
     * @return list<string> in the order in which cells are typed
     */
    private static function ordered(array $cells, array $columns): array
    {
        $said = array_fill_keys([...self::CELLS, 'width', 'height'], '');
        foreach ($columns as $column => $field) {
            if (self::isTaken($field)) {
                $said[$field->value ?? ''] = $cells[$column] ?? '';
            }
        }
        if ('' === $said['size'] && '' !== $said['width'] && '' !== $said['height']) {
            $said['size'] = $said['width'].' × '.$said['height'];
        }

        return array_map(static fn (string $cell): string => $said[$cell], self::CELLS);
    }

    /** @param list<string> $cells */
    private static function line(int $number, string $line, array $cells, PlaceRule $rule, QuantityText $quantities, ColourWords $colours): PastedLine
    {
        $wrong = $typed = [];
        if (\count($cells) > \count(self::CELLS)) {
            $wrong['name'] = 'There are too many parts; write name; maker; quantity; themes; colour; size; weight.';
            $typed['name'] = $line;
            $cells = [mb_substr($line, 0, PastedThing::MOST_CHARACTERS)];
        }
        $said = array_combine(self::CELLS, \array_slice($cells + array_fill(0, \count(self::CELLS), ''), 0, \count(self::CELLS)));
        while (true) {
            try {
                return new PastedLine($number, $line, PastedThing::fromCells(array_values($said), $rule, $quantities, $colours), $wrong, $typed);
            } catch (InvalidPaste $refused) {
                $cell = $refused->cell();
                $isName = 'name' === $cell;
                $wrong[$cell] ??= $isName ? ('' === $said['name'] ? 'What is it called?' : 'This is too long.') : ($refused->why ?? $refused->getMessage());
                $typed[$cell] ??= $said[$cell];
                $said[$cell] = $isName ? self::NAMELESS : '';
                $said['maker'] = $isName ? mb_substr($said['maker'], 0, 120) : $said['maker'];
            }
        }
    }
}
