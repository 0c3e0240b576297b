<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

use Lottel\Core\Catalogue\Kind;

/** Tells which rows of somebody's list are no things: a line between two groups, its heading, the headings once more, a sum (common practice, no source). */
final readonly class RowsBetween
{
    private const SUM = '/^(?:(?:grand|sub)[ -]?)?(?:totals?|sum)\s*:?$/iuD';
    private const LINE = '/^[\s\p{Pd}=_*.·•~+#|\/\\\\]+$/uD';
    private const FRAMED = '/^[\p{Pd}=_*·•~+#]{2,}.*[\p{Pd}=_*·•~+#]{2,}$|^\p{Pd}\s.*\s\p{Pd}$/uD';

    /**
     * @param list<string> $headings of the list, empty where it has none
     * @param int $width how many columns it has; a row may have fewer cells
     */
    public function __construct(private array $headings, private int $width)
    {
    }

    /**
     * Returns what a row is instead of a thing, in words; null where it may well be one, or is empty.
     *
     * @param list<string> $cells
     */
    public function of(array $cells): ?string
    {
        $filled = array_values(array_filter(array_map(trim(...), $cells), static fn (string $cell): bool => '' !== $cell));

        return match (true) {
            [] === $filled => null,
            [] === preg_grep(self::LINE, $filled, \PREG_GREP_INVERT) => 'a line',
            $this->isHeadings($cells, $filled) => 'the headings once more',
            1 === preg_match(self::SUM, $filled[0]) => 'a sum',
            1 === \count($filled) && $this->width > 1 && self::isHeading($filled[0]) => 'a heading',
            default => null,
        };
    }

    /**
     * @param list<string> $cells
     * @param non-empty-list<string> $filled
     */
    private function isHeadings(array $cells, array $filled): bool
    {
        $isAgain = [] !== $this->headings && $this->plain($cells) === $this->plain($this->headings);

        return $isAgain || (\count($filled) > 1 && !\in_array(null, Headings::match($filled), true) && Headings::areHeadings(...$filled));
    }

    /**
     * @param list<string> $cells
     *
     * @return list<string> as many cells as the list has columns, in small letters
     */
    private function plain(array $cells): array
    {
        return array_map(
            static fn (string $text): string => mb_strtolower(trim($text)),
            \array_slice(array_pad($cells, $this->width, ''), 0, $this->width),
        );
    }

    /** Whether words that stand alone in their row are about those below: a kind of thing, shouted, framed, or with a colon behind. */
    private static function isHeading(string $text): bool
    {
        $plain = mb_strtolower(trim($text, " :.-=*_~#\t"));
        $one = (string) preg_replace('/s$/u', '', $plain);
        $isKind = null !== (Kind::tryFrom($plain) ?? Kind::tryFrom($one)) && $plain !== $one;
        $isShouted = mb_strlen($text) > 3 && mb_strtoupper($text) === $text && 1 === preg_match('/^[\p{Lu}\s&,\/-]+$/uD', $text);

        return $isKind || $isShouted || str_ends_with($text, ':') || 1 === preg_match(self::FRAMED, $text);
    }
}
