<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;

/** Which finished card is the one: for this occasion, in that colour, not had by this person before, the oldest first. */
final readonly class CardChoice
{
    /** Cards with these words serve any occasion. */
    private const ANY = ['all-occasion', 'any', 'blank'];

    /** @param list<string> $reasons */
    private function __construct(public CardOnShelf $card, public bool $isForIt, public ?float $off, public array $reasons)
    {
    }

    /**
     * Returns the cards of which one is free, the best first; those that the person had are left out.
     *
     * @param list<CardOnShelf> $cards
     * @param string $wants the occasion, empty for any
     * @param list<int> $had ids of the cards that the person was given before
     *
     * @return list<self>
     */
    public static function among(array $cards, string $wants, ?Srgb $rather, array $had): array
    {
        $choices = [];
        foreach ($cards as $card) {
            if ($card->free > 0 && !\in_array($card->id, $had, true)) {
                $choices[] = self::of($card, $wants, $rather);
            }
        }
        usort($choices, static fn (self $a, self $b): int => $a->rank($wants) <=> $b->rank($wants));

        return $choices;
    }

    public static function isSameWord(string $one, string $other): bool
    {
        return self::word($one) === self::word($other);
    }

    /** Returns a word of the shelf as it is compared: birthdays and birthday cards are birthday. */
    public static function word(string $word): string
    {
        $plain = trim((string) preg_replace('/\b(cards?|tags?)$/u', '', mb_strtolower(trim($word))));

        return 1 === preg_match('/[^s]s$/u', $plain) && 'thanks' !== $plain ? mb_substr($plain, 0, -1) : $plain;
    }

    private static function of(CardOnShelf $card, string $wants, ?Srgb $rather): self
    {
        $isForIt = '' !== $wants && self::isSameWord($card->word, $wants);
        $off = null === $rather || [] === $card->colours ? null : min(array_map(
            static fn (Srgb $colour): float => Difference::between(Lab::of($colour), Lab::of($rather)),
            $card->colours,
        ));

        return new self($card, $isForIt, $off, array_values(array_filter([
            $isForIt ? 'for '.$wants : (self::servesAny($card) && '' !== $wants ? 'for any occasion' : null),
            null !== $off && null !== $rather && self::isOfColour($card, $rather) ? 'has the colour' : null,
        ])));
    }

    private static function isOfColour(CardOnShelf $card, Srgb $rather): bool
    {
        return [] !== array_filter($card->colours, static fn (Srgb $colour): bool => Difference::isNear(Lab::of($colour), Lab::of($rather)));
    }

    private static function servesAny(CardOnShelf $card): bool
    {
        return \in_array(self::word($card->word), self::ANY, true);
    }

    /** @return array{int, float, int, int} */
    private function rank(string $wants): array
    {
        return [
            '' === $wants || $this->isForIt ? 0 : (self::servesAny($this->card) ? 1 : 2),
            $this->off ?? 100.0,
            $this->card->madeOn ?? \PHP_INT_MAX,
            $this->card->id,
        ];
    }
}
