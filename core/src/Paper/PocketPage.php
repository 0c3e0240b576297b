<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Size;

/** A page of pockets: how many of which card it takes. */
final readonly class PocketPage
{
    /** @param array<string, int> $pockets how many of each pocket, by the name of a PaperSize */
    public function __construct(public array $pockets)
    {
    }

    /** The usual page of eight: four 4 × 6 lying and four 3 × 4 (common practice, no source). */
    public static function usual(): self
    {
        return new self([PaperSize::Pocket4By6->value => 4, PaperSize::Pocket3By4->value => 4]);
    }

    /**
     * Returns the cards to cut, one for each pocket.
     *
     * @return list<CardPiece>
     *
     * @throws InvalidDesign if a pocket is unknown, or there are fewer than 1 or more than 64 of it
     */
    public function pieces(): array
    {
        $pieces = [];
        foreach ($this->pockets as $name => $count) {
            $size = PaperSize::tryFrom((string) $name)?->size();
            if (!$size instanceof Size) {
                throw InvalidDesign::unknownPocket('pockets.'.$name);
            }
            if ($count < 1 || $count > 64) {
                throw InvalidDesign::pocketCount('pockets.'.$name);
            }
            for ($i = 1; $i <= $count; ++$i) {
                $pieces[] = new CardPiece($name.' card '.$i, $size);
            }
        }

        return $pieces;
    }
}
