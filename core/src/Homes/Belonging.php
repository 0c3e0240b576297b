<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\Srgb;

/** What a place says belongs in it; what it leaves out, it does not mind. Several makers or themes are parted by commas. */
final readonly class Belonging
{
    /** @param list<Kind> $alsoKinds */
    public function __construct(
        public ?Kind $kind = null,
        public string $maker = '',
        public string $theme = '',
        public string $colour = '',
        public array $alsoKinds = [],
    ) {
    }

    /** Whether it says nothing at all. */
    public function isOpen(): bool
    {
        return null === $this->kind && [] === $this->alsoKinds && '' === $this->maker.$this->theme.$this->colour;
    }

    /** Returns what belongs here in words, such as “for stamp set, die · by Oddling · sea”. */
    public function inWords(): string
    {
        $kinds = array_map(static fn (Kind $kind): string => $kind->value, [
            ...array_filter([$this->kind], static fn (?Kind $kind): bool => null !== $kind),
            ...$this->alsoKinds,
        ]);
        $words = array_filter(
            [
                [] === $kinds ? '' : 'for '.implode(', ', array_unique($kinds)),
                '' === $this->maker ? '' : 'by '.$this->maker,
                $this->theme,
                $this->colour,
            ],
            static fn (string $word): bool => '' !== $word,
        );

        return [] === $words ? 'for anything' : implode(' · ', $words);
    }

    /** Returns why a thing does not belong here, or null where it does. */
    public function excludes(Thing $thing): ?string
    {
        if (null !== $this->kind && !\in_array($thing->kind, [$this->kind, Kind::Other, ...$this->alsoKinds], true)) {
            return \sprintf('%s, not %s', $thing->kind->value, $this->kind->value);
        }
        if ('' !== $this->maker && '' !== $thing->maker && !self::names($this->maker, [$thing->maker])) {
            return \sprintf('by %s, not by %s', $thing->maker, $this->maker);
        }
        if ('' !== $this->theme && [] !== $thing->themes && !self::names($this->theme, $thing->themes)) {
            return \sprintf('%s, not %s', implode(', ', $thing->themes), $this->theme);
        }
        $family = $this->family($thing);
        if ('' !== $this->colour && null !== $family && $family !== $this->colour) {
            return \sprintf('%s, not %s', $family, $this->colour);
        }

        return null;
    }

    /**
     * Whether a list parted by commas names one of several.
     *
     * @param list<string> $any
     */
    public static function names(string $list, array $any): bool
    {
        $named = array_map(static fn (string $one): string => mb_strtolower(trim($one)), explode(',', $list));

        return [] !== array_intersect($named, array_map(mb_strtolower(...), $any));
    }

    private function family(Thing $thing): ?string
    {
        if ($thing->isMulticolour) {
            return 'multicolour';
        }

        return null === $thing->colour ? null : Family::of(Srgb::ofHex($thing->colour))->value;
    }
}
