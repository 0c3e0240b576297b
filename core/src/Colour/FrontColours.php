<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** Judges the colours of a front by what is seen of each (common practice, no source): which leads, which is the accent, what they are to each other. */
final readonly class FrontColours
{
    /** More than this is no accent any more. */
    private const MOST_OF_ACCENT = 0.2;
    /** Two shares within this of each other are about equal. */
    private const ABOUT_EQUAL = 0.08;

    /** @var list<FrontColour> the largest share first */
    public array $colours;

    /** @param list<FrontColour> $colours */
    public function __construct(array $colours)
    {
        usort($colours, static fn (FrontColour $a, FrontColour $b): int => [$b->share, $a->name] <=> [$a->share, $b->name]);
        $this->colours = $colours;
    }

    /** Returns the colour that stands out by its hue while there is little of it, of several the strongest; null where none does. */
    public function accent(): ?FrontColour
    {
        $hued = array_values(array_filter($this->colours, static fn (FrontColour $one): bool => !$one->isNeutral()));
        $strongest = null;
        foreach (\count($this->colours) > 1 ? $hued : [] as $one) {
            $others = array_filter($hued, static fn (FrontColour $other): bool => $other !== $one);
            $stands = [] === array_filter($others, static fn (FrontColour $other): bool => !self::areApart($one, $other));
            if ($one->share <= self::MOST_OF_ACCENT && $stands && (null === $strongest || $one->strength() > $strongest->strength())) {
                $strongest = $one;
            }
        }

        return $strongest;
    }

    /** Returns one sentence about them; empty where there is no colour. */
    public function sentence(): string
    {
        $count = \count($this->colours);
        if (0 === $count) {
            return '';
        }
        if (1 === $count) {
            return \sprintf('%s alone: nothing sets it off.', $this->colours[0]->name);
        }
        $accent = $this->accent();
        if (null !== $accent) {
            return \sprintf('%s, %s, %s, is the accent.', $accent->name, $this->whatItIs($accent), $accent->shareInWords());
        }
        [$first, $second] = $this->colours;
        if ($first->share - $second->share < self::ABOUT_EQUAL) {
            return \sprintf('%s and %s share the front about equally: neither leads.', $first->name, $second->name);
        }
        $hued = array_values(array_filter($this->colours, static fn (FrontColour $one): bool => !$one->isNeutral()));
        if (\count($hued) < 2) {
            return \sprintf('%s leads with %s; calm, without a second colour.', $first->name, $first->shareInWords());
        }
        [$harmony] = Harmony::nearest($hued[0]->colour, $hued[1]->colour);

        return \sprintf('%s leads with %s; %s and %s are %s.', $first->name, $first->shareInWords(), $hued[0]->name, $hued[1]->name, $harmony->inWords());
    }

    /** @return list<Srgb> */
    public function palette(): array
    {
        return array_map(static fn (FrontColour $one): Srgb => $one->colour, $this->colours);
    }

    private function whatItIs(FrontColour $accent): string
    {
        $warm = \count(array_filter($this->colours, static fn (FrontColour $one): bool => $one->isWarm()));
        $cool = \count(array_filter($this->colours, static fn (FrontColour $one): bool => !$one->isNeutral() && !$one->isWarm()));

        return match (true) {
            $accent->isWarm() && 1 === $warm && $cool > 0 => 'the one warm colour',
            !$accent->isWarm() && 1 === $cool && $warm > 0 => 'the one cool colour',
            1 === $warm + $cool => 'the one colour beside neutrals',
            default => 'apart from the rest',
        };
    }

    private static function areApart(FrontColour $one, FrontColour $other): bool
    {
        [$harmony] = Harmony::nearest($one->colour, $other->colour);

        return $one->isWarm() !== $other->isWarm() || Harmony::Complementary === $harmony || Harmony::Triad === $harmony;
    }
}
