<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** A colour that is looked for: a whole family where a word means one, else what is near it. */
final readonly class ColourWanted
{
    private function __construct(public Srgb $colour, private ?Family $family)
    {
    }

    /**
     * Reads what `ColourWords` reads; `yellow` or `blue` mean every colour of that family.
     *
     * @throws InvalidColour if it is no colour
     */
    public static function read(string $text, ColourWords $words): self
    {
        return new self($words->read($text), Family::tryFrom(mb_strtolower(trim($text))));
    }

    /** Returns the one colour that is wanted; null where every colour of a family will do. */
    public function lab(): ?Lab
    {
        return null === $this->family ? Lab::of($this->colour) : null;
    }

    public function isMetBy(Srgb $colour): bool
    {
        return (null !== $this->family && Family::of($colour) === $this->family) || Difference::isNear(Lab::of($this->colour), Lab::of($colour));
    }
}
