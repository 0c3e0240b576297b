<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

/** The weight of a paper in milligrams to the square metre, and the basis in which it was said, if it was said in pounds. */
final readonly class Grammage
{
    private const LEAST = 10_000;
    private const MOST = 3_000_000;

    /** Names that stand for a basis beside its own (common practice, no source). */
    private const ALSO = ['cardstock' => Basis::Cover, 'card' => Basis::Cover, 'book' => Basis::Text, 'offset' => Basis::Text, 'writing' => Basis::Bond];

    private function __construct(public int $milligrams, public ?Basis $basis)
    {
    }

    /** @throws InvalidGrammage if no paper weighs that */
    public static function of(int $milligrams, ?Basis $basis = null): self
    {
        return $milligrams < self::LEAST || $milligrams > self::MOST ? throw InvalidGrammage::isOutOfRange() : new self($milligrams, $basis);
    }

    /**
     * Reads `216 gsm`, `216 g/m²`, `g/m2 216`, `80 lb cover` or `110# index`.
     *
     * @throws InvalidGrammage if it is none of these, names no basis, or no paper weighs that
     */
    public static function parse(string $text): self
    {
        $plain = (string) preg_replace('#^(gsm|g/m²|g/m2|lbs?\.?|\#)\s*(\d+(?:[.,]\d+)?)(?=\s|$)#uD', '$2 $1', mb_strtolower(trim($text)));
        if (1 === preg_match('#^(\d{1,4}(?:[.,]\d{1,2})?)\s*(?:gsm|g/m²|g/m2|g/qm|g|gr|grams?)$#uD', $plain, $m)) {
            return self::of((int) round(1000 * self::number($m[1])));
        }
        if (1 !== preg_match('/^(\d{1,3}(?:[.,]\d{1,2})?)\s*(?:lbs?\.?|#|pounds?)\s*(\w*)$/uD', $plain, $m)) {
            throw InvalidGrammage::isNotReadable($text);
        }
        $basis = Basis::tryFrom($m[2]) ?? self::ALSO[$m[2]] ?? throw InvalidGrammage::hasNoBasis($text);

        return self::of((int) round(1000 * $basis->grammage(self::number($m[1]))), $basis);
    }

    /** Returns it in g/m². */
    public function gsm(): float
    {
        return $this->milligrams / 1000;
    }

    /** Returns it as it can be typed again without loss of what it means, such as `80 lb cover` or `216.3 gsm`. */
    public function exact(): string
    {
        if (null === $this->basis) {
            return self::short($this->gsm(), 3).' gsm';
        }

        return self::short($this->basis->pounds($this->gsm()), 2).' lb '.$this->basis->value;
    }

    /** Returns it in words, both ways where it was said in pounds: `80 lb cover, 216 g/m²`. */
    public function inWords(): string
    {
        $gsm = self::short($this->gsm(), 0).' g/m²';

        return null === $this->basis ? $gsm : $this->exact().', '.$gsm;
    }

    private static function number(string $text): float
    {
        return (float) str_replace(',', '.', $text);
    }

    private static function short(float $number, int $decimals): string
    {
        $text = number_format($number, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
