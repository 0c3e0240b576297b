<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;

/** A stack of known sheets on a scale, and what that says of how many they are. */
final readonly class Weighing
{
    /** So far the sheets of one paper may differ from what is printed on its wrapper, as a share (common practice, no source). */
    private const PAPER_DIFFERS = 0.03;

    private function __construct(public int $sheets, public int $least, public int $most, private bool $isLearned)
    {
    }

    /**
     * Returns how many sheets lie on a scale, and between which numbers the truth lies: the scale errs, and so does a weight
     * that was read off a wrapper; a weight that was learned from sheets of this paper does not.
     *
     * @param float $sheetGrams what one sheet should weigh, above 0
     * @param float $grams what the scale shows, 0 or above
     * @param float $errorGrams how far the scale may be out either way
     */
    public static function of(float $sheetGrams, float $grams, float $errorGrams, bool $isLearned): self
    {
        $stack = Stack::weighed($sheetGrams, $grams, $errorGrams);
        $differs = $isLearned ? 0.0 : self::PAPER_DIFFERS;
        $light = Stack::weighed($sheetGrams * (1 - $differs), $grams, $errorGrams);
        $heavy = Stack::weighed($sheetGrams * (1 + $differs), $grams, $errorGrams);

        return new self($stack->sheets, min($stack->least, $heavy->least), max($stack->most, $light->most), $isLearned);
    }

    /**
     * Returns the weight of a paper of which that many sheets weigh so much.
     *
     * @param int $doubledArea of one sheet, in square ticks
     *
     * @throws InvalidGrammage if no paper weighs that
     */
    public static function learned(int $doubledArea, int $sheets, float $grams, ?Basis $basis): Grammage
    {
        $squareMetres = $doubledArea / 2 * (0.001 / Length::TICKS_PER_MILLIMETRE) ** 2;

        return Grammage::of((int) round(1000 * $grams / ($sheets * $squareMetres)), $basis);
    }

    public function isCertain(): bool
    {
        return $this->least === $this->most;
    }

    /** Says how many there are, and how sure that is. */
    public function inWords(): string
    {
        if ($this->isCertain()) {
            return 1 === $this->sheets ? '1 sheet' : $this->sheets.' sheets';
        }

        return \sprintf('about %d sheets: from %d to %d', $this->sheets, $this->least, $this->most)
            .($this->isLearned ? '' : ', since nobody has weighed a known number of them yet');
    }
}
