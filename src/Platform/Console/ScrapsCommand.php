<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\NearMiss;
use Lottel\Core\Cutting\Scrap;
use Lottel\Core\Cutting\ScrapMatch;
use Lottel\Core\Cutting\ScrapSearch;
use Lottel\Core\Cutting\WantedPiece;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\InvalidOutline;
use Lottel\Core\Paper\Outline;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:scraps', 'Tells from which scraps a piece can be cut, and why from others it cannot.')]
final class ScrapsCommand extends DocumentCommand
{
    private const MOST_SCRAPS = 20_000;
    private const MOST = 1e9;

    /** Sides stay below this, so that areas are whole numbers. */
    private const LARGEST_SIDE = 1 << 30;

    public function answer(Document $document): array
    {
        $document->get('unit')->word(['in', 'mm']);
        $piece = $document->get('piece')->object();
        $scraps = $this->entries($document->get('scraps'));
        $sides = [$piece->get('w')->positiveLength(), $piece->get('h')->positiveLength(), ...array_merge(...array_map($this->lengths(...), $scraps))];
        $scale = OutputScale::for(
            $sides,
            max(1, intdiv(self::LARGEST_SIDE, 1 + (int) max(array_map(static fn (Ratio $side): float => abs($side->value()), $sides)))),
        );
        $search = new ScrapSearch(
            $this->colour($document->get('colour')),
            $this->fromZero($document->get('tolerance')),
            $this->gsm($document->get('gsm')),
            $this->fromZero($document->get('gsm_tolerance')),
        );
        $wanted = new WantedPiece($scale->positive($piece->get('w')), $scale->positive($piece->get('h')), $this->direction($piece->get('direction')));
        $found = $search->among($wanted, array_map(fn (Document $scrap): Scrap => $this->scrap($scrap, $scale), $scraps));

        return [
            'matches' => array_map(static fn (ScrapMatch $match): array => [
                'id' => $match->scrap->id,
                'turned' => $match->isTurned,
                'left_over' => $scale->area($match->doubledLeftOver) / 2,
                'delta_e' => null === $match->difference ? null : round($match->difference, 6),
            ], $found->matches),
            'near' => array_map(static fn (NearMiss $miss): array => ['id' => $miss->scrap->id, 'why' => $miss->why->value], $found->near),
        ];
    }

    /** @return list<Document> */
    private function entries(Document $list): array
    {
        $scraps = $list->items();
        if (\count($scraps) > self::MOST_SCRAPS) {
            $list->refuse(\sprintf('%d scraps at the most.', self::MOST_SCRAPS));
        }
        $seen = [];
        foreach ($scraps as $scrap) {
            $id = $scrap->object()->get('id')->string();
            if (isset($seen['='.$id])) {
                $scrap->get('id')->refuse('This id is used already.');
            }
            $seen['='.$id] = true;
        }

        return $scraps;
    }

    /** @return list<Ratio> all lengths of a scrap */
    private function lengths(Document $scrap): array
    {
        if (!$scrap->has('outline')) {
            return [$scrap->get('w')->positiveLength(), $scrap->get('h')->positiveLength()];
        }
        if ($scrap->has('w') || $scrap->has('h')) {
            $scrap->get('outline')->refuse('Give w and h, or an outline, not both.');
        }

        return array_merge(...array_map(static fn (Document $corner): array => self::corner($corner), $scrap->get('outline')->items()));
    }

    /** @return array{Ratio, Ratio} */
    private static function corner(Document $corner): array
    {
        $numbers = $corner->items();
        if (2 !== \count($numbers)) {
            $corner->refuse('A corner has two lengths, across and down.');
        }

        return [$numbers[0]->length(), $numbers[1]->length()];
    }

    private function scrap(Document $scrap, OutputScale $scale): Scrap
    {
        $id = $scrap->get('id')->string();
        $colour = $this->colour($scrap->get('colour'));
        $gsm = $this->gsm($scrap->get('gsm'));
        $direction = $this->direction($scrap->get('direction'));
        if (!$scrap->has('outline')) {
            return Scrap::rectangle($id, $scale->positive($scrap->get('w')), $scale->positive($scrap->get('h')), $colour, $gsm, $direction);
        }
        $corners = array_map(
            static function (Document $corner) use ($scale): array {
                [$x, $y] = self::corner($corner);

                return [$scale->whole($x), $scale->whole($y)];
            },
            $scrap->get('outline')->items(),
        );
        try {
            return Scrap::outlined($id, Outline::of($corners), $colour, $gsm, $direction);
        } catch (InvalidOutline $invalid) {
            $scrap->get('outline')->refuse($invalid->getMessage());
        }
    }

    private function colour(Document $hex): ?Lab
    {
        try {
            return $hex->isNull() ? null : Lab::of(Srgb::ofHex($hex->string()));
        } catch (InvalidColour $invalid) {
            $hex->refuse($invalid->getMessage());
        }
    }

    private function gsm(Document $gsm): ?float
    {
        if ($gsm->isNull()) {
            return null;
        }
        $value = $gsm->number();
        if ($value <= 0 || $value > self::MOST) {
            $gsm->refuse('This must be above zero.');
        }

        return $value;
    }

    private function fromZero(Document $number): float
    {
        $value = $number->number();
        if ($value < 0) {
            $number->refuse('This must not be negative.');
        }

        return $value;
    }

    private function direction(Document $direction): Direction
    {
        return Direction::from($direction->word(array_map(static fn (Direction $one): string => $one->value, Direction::cases())));
    }
}
