<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Story\EndsDemo;
use App\Platform\Story\Said;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Year\Day;

/** What is known of the demo room's things besides what happened to them: what was paid, what belongs together, how large finished pieces are. */
final readonly class KnownInDemo implements EndsDemo
{
    public function __construct(private NamedInDemo $named, private EntityManagerInterface $entities)
    {
    }

    public function after(Said $year, Day $today): void
    {
        foreach ($year->parts('prices') as $price) {
            $item = $this->named->thing($price->text('what'));
            $day = $today->plus($price->int('day'))->date();
            $this->entities->persist(new Price($item, $price->int('cents'), $price->int('quantity'), $day, $price->text('shop', '')));
        }
        foreach (array_keys($year->parts('collections')) as $collection) {
            foreach ($year->part('collections')->texts($collection) as $name) {
                $item = $this->named->thing($name);
                $item->describe($item->record()->with(collection: $collection));
            }
        }
        $this->measure($year->named('sizes'));
    }

    /** @param array<string, string> $sizes by the last word of a piece's name */
    private function measure(array $sizes): void
    {
        foreach ($this->entities->getRepository(Item::class)->findBy(['kind' => Kind::FinishedPiece]) as $piece) {
            $words = explode(' ', $piece->name);
            $size = $sizes[end($words)] ?? null;
            if (null !== $size) {
                $piece->describe($piece->record()->with(details: $piece->details + ['measures' => $size]));
            }
        }
    }
}
