<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

use Lottel\Core\Catalogue\Likeness;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;

/** Tells what one has already that is like something of the same kind: nearly its name, a die that cuts its sizes, nearly its colour. */
final readonly class Alike
{
    private const MOST_NAMED_SO = 6;

    /** @var array<int, OwnedThing> */
    private array $owned;

    /** @var array<string, non-empty-list<int>> things by colour */
    private array $coloured;

    private Likeness $names;

    /** @param list<OwnedThing> $owned of one kind */
    public function __construct(array $owned)
    {
        $things = $coloured = [];
        foreach ($owned as $thing) {
            $things[$thing->id] = $thing;
            if (null !== $thing->colour) {
                $coloured[$thing->colour->hex()][] = $thing->id;
            }
        }
        [$this->owned, $this->coloured] = [$things, $coloured];
        $this->names = new Likeness(array_map(static fn (OwnedThing $thing): string => $thing->name, $things));
    }

    /** @return array<int, string> why each of a few is like it, the likest first, by thing */
    public function to(OwnedThing $wanted, int $most): array
    {
        $like = $this->byName($wanted) + $this->bySizes($wanted) + $this->byColour($wanted);
        unset($like[$wanted->id]);
        $why = [];
        foreach (\array_slice($like, 0, $most, true) as $id => $words) {
            $maker = $this->owned[$id]->maker;
            $why[$id] = $words.('' === $maker || $maker === $wanted->maker ? '' : ', by '.$maker);
        }

        return $why;
    }

    /**
     * Returns what is probably the same: called nearly so, or a die of the same shape of which at least two sizes, and most of them,
     * are cut by it, too.
     *
     * @return array<int, string> in which way, by thing
     */
    public function nearlyThat(OwnedThing $thing): array
    {
        $sizes = \count($thing->cuts->sizes ?? []);
        $same = array_filter(
            null === $thing->shape ? [] : $this->sameSizes($thing),
            fn (int $many, int $id): bool => $many >= 2 && 2 * $many > $sizes && $this->owned[$id]->shape === $thing->shape,
            \ARRAY_FILTER_USE_BOTH,
        );
        $like = $this->byName($thing) + array_map(static fn (int $many): string => "cuts {$many} of the same sizes", $same);
        unset($like[$thing->id]);

        return $like;
    }

    /** @return array<int, string> */
    private function byName(OwnedThing $wanted): array
    {
        return array_fill_keys($this->names->of($wanted->name, self::MOST_NAMED_SO), 'called nearly the same');
    }

    /** @return array<int, string> */
    private function bySizes(OwnedThing $wanted): array
    {
        return array_map(static fn (int $many): string => 1 === $many ? 'cuts a size of it' : "cuts {$many} of its sizes", $this->sameSizes($wanted));
    }

    /** @return array<int, int> how many of its sizes another die cuts, the most first, by thing */
    private function sameSizes(OwnedThing $wanted): array
    {
        $same = [];
        $sizes = $wanted->cuts->sizes ?? [];
        foreach ([] === $sizes ? [] : $this->owned as $id => $thing) {
            $isOther = null !== $wanted->shape && null !== $thing->shape && $wanted->shape !== $thing->shape;
            $many = $isOther || null === $thing->cuts ? 0 : \count(array_filter($sizes, $thing->cuts->cuts(...)));
            if ($many > 0) {
                $same[$id] = $many;
            }
        }
        arsort($same);

        return $same;
    }

    /** @return array<int, string> */
    private function byColour(OwnedThing $wanted): array
    {
        if (null === $wanted->colour) {
            return [];
        }
        $colour = Lab::of($wanted->colour);
        $far = [];
        foreach (array_keys($this->coloured) as $hex) {
            $difference = Difference::between($colour, Lab::of(Srgb::ofHex($hex)));
            if ($difference <= Difference::PASSES) {
                $far[$hex] = $difference;
            }
        }
        asort($far);
        $near = array_merge([], ...array_map(fn (string $hex): array => $this->coloured[$hex], array_keys($far)));

        return array_fill_keys($near, 'nearly its colour');
    }
}
