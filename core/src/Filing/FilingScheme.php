<?php

declare(strict_types=1);

namespace Lottel\Core\Filing;

use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\RainbowOrder;
use Lottel\Core\Colour\Srgb;

/**
 * How a place is ordered: one or more criteria, the first counting most. Names are compared as a library would:
 * accents and capitals ignored, numbers in natural order, leading articles dropped. Ties fall back to the name.
 */
final readonly class FilingScheme implements \Stringable
{
    private const SEASONS = ['spring', 'summer', 'autumn', 'winter'];

    private \Collator $collator;

    /** @param list<SortBy> $criteria */
    private function __construct(public array $criteria, private string $locale)
    {
        $this->collator = self::collator($locale);
    }

    /** @return array{list<SortBy>, string} */
    public function __serialize(): array
    {
        return [$this->criteria, $this->locale];
    }

    /** @param array{list<SortBy>, string} $kept */
    public function __unserialize(array $kept): void
    {
        [$this->criteria, $this->locale] = $kept;
        $this->collator = self::collator($kept[1]);
    }

    private static function collator(string $locale): \Collator
    {
        $collator = new \Collator($locale);
        $collator->setAttribute(\Collator::NUMERIC_COLLATION, \Collator::ON);
        $collator->setStrength(\Collator::SECONDARY);

        return $collator;
    }

    /**
     * Reads criteria joined by commas, such as `maker,name`; empty text is by name.
     *
     * @throws InvalidScheme if a criterion is unknown
     */
    public static function parse(string $text, string $locale = 'en'): self
    {
        $words = array_filter(array_map(trim(...), explode(',', mb_strtolower($text))), static fn (string $word): bool => '' !== $word);
        $criteria = array_map(static fn (string $word): SortBy => SortBy::tryFrom($word) ?? throw InvalidScheme::unknown($word), array_values($words));

        return new self([] === $criteria ? [SortBy::Name] : $criteria, $locale);
    }

    /**
     * Returns the scheme that begins with other criteria; where they are the ones it begins with already, what comes after them
     * stays.
     *
     * @throws InvalidScheme if one is unknown
     */
    public function beginningWith(string ...$words): self
    {
        $asked = self::parse(implode(',', $words));

        return $asked->criteria === \array_slice($this->criteria, 0, 2) ? $this : $asked;
    }

    /** Returns below 0, 0 or above 0 as $a is filed before, with, or after $b. */
    public function compare(Thing $a, Thing $b): int
    {
        foreach ([...$this->criteria, SortBy::Name, SortBy::Maker] as $criterion) {
            $order = $this->compareBy($criterion, $a, $b);
            if (0 !== $order) {
                return $order;
            }
        }

        return $a->id <=> $b->id;
    }

    /**
     * Returns the things in the order in which they stand.
     *
     * @param list<Thing> $things
     *
     * @return list<Thing>
     */
    public function sort(array $things): array
    {
        usort($things, $this->compare(...));

        return $things;
    }

    /**
     * Returns between which of the others the thing stands; itself among the others is passed over.
     *
     * @param iterable<Thing> $others
     */
    public function positionOf(Thing $thing, iterable $others): FilingPosition
    {
        $before = $after = null;
        $index = 0;
        foreach ($others as $other) {
            if ($other->id === $thing->id) {
                continue;
            }
            if ($this->compare($other, $thing) < 0) {
                ++$index;
                $before = null === $before || $this->compare($other, $before) > 0 ? $other : $before;
            } else {
                $after = null === $after || $this->compare($other, $after) < 0 ? $other : $after;
            }
        }

        return new FilingPosition($before, $after, $index);
    }

    /** Returns the scheme in words, such as “by maker, then name”. */
    public function inWords(): string
    {
        return 'by '.implode(', then ', array_map(static fn (SortBy $by): string => $by->value, $this->criteria));
    }

    public function __toString(): string
    {
        return implode(',', array_map(static fn (SortBy $by): string => $by->value, $this->criteria));
    }

    private function compareBy(SortBy $criterion, Thing $a, Thing $b): int
    {
        return match ($criterion) {
            SortBy::Name => $this->compareText(self::withoutArticle($a->name), self::withoutArticle($b->name)),
            SortBy::Maker => $this->compareText(self::withoutArticle($a->maker), self::withoutArticle($b->maker)),
            SortBy::Kind => $this->compareText($a->kind->value, $b->kind->value),
            SortBy::Theme => $this->compareText($a->themes[0] ?? '', $b->themes[0] ?? ''),
            SortBy::Colour => self::compareColours($a, $b),
            SortBy::Collection => $this->compareText($a->collection, $b->collection),
            SortBy::Size => [null === $a->size, $a->size] <=> [null === $b->size, $b->size],
            SortBy::Season => self::season($a) <=> self::season($b),
        };
    }

    /** Text that is missing is filed behind all that is there. */
    private function compareText(string $a, string $b): int
    {
        if ('' === $a || '' === $b) {
            return ('' === $a) <=> ('' === $b);
        }

        return (int) $this->collator->compare($a, $b);
    }

    private static function withoutArticle(string $name): string
    {
        return (string) preg_replace('/^(the|an?)\s+(?=\S)/iu', '', trim($name));
    }

    private static function season(Thing $thing): int
    {
        $at = array_search($thing->season, self::SEASONS, true);

        return false === $at ? \count(self::SEASONS) : $at;
    }

    /** Colours in rainbow order, what has many of them in front of the neutrals, what has none last. */
    private static function compareColours(Thing $a, Thing $b): int
    {
        $order = self::colourGroup($a) <=> self::colourGroup($b);
        if (0 !== $order || null === $a->colour || null === $b->colour || $a->isMulticolour) {
            return $order;
        }

        return RainbowOrder::compare(Srgb::ofHex($a->colour), Srgb::ofHex($b->colour));
    }

    private static function colourGroup(Thing $thing): int
    {
        return match (true) {
            $thing->isMulticolour => 1,
            null === $thing->colour => 3,
            Family::Neutral === Family::of(Srgb::ofHex($thing->colour)) => 2,
            default => 0,
        };
    }
}
