<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use Lottel\Core\Colour\AimedAt;
use Lottel\Core\Colour\FrontColour;
use Lottel\Core\Colour\NamedColour;

/** Finds for each colour of a palette what the room has that comes nearest to it. */
final readonly class MatchPalette
{
    public function __construct(private SwatchBook $book)
    {
    }

    /**
     * @param list<NamedColour> $colours
     *
     * @return list<MatchedColour>
     */
    public function __invoke(array $colours): array
    {
        [$swatches] = $this->book->swatches(null);
        $of = array_map(
            static fn (Swatch $swatch, int $at): FrontColour => new FrontColour((string) $at, $swatch->named->colour, 0.0),
            $swatches,
            array_keys($swatches),
        );
        $met = AimedAt::met(array_map(static fn (NamedColour $one) => $one->colour, $colours), $of);

        return array_map(
            static fn (NamedColour $one, array $near): MatchedColour => new MatchedColour(
                $one,
                null === $near[1] ? null : $swatches[(int) $near[1]->name],
                $near[2],
            ),
            $colours,
            $met,
        );
    }
}
