<?php

declare(strict_types=1);

namespace App\Service\Stores;

use App\Entity\Item;
use App\Entity\Place;
use App\Service\FindIndex;
use App\Service\Labels\LabelQueue;
use App\Service\LogBook;
use App\Service\Step;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Storage\Kind;
use Lottel\Core\Storage\PastedThing;

/** Takes new things into a place; they inherit what the place says about what belongs there. */
final readonly class TakeIn
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database, private LogBook $log, private FindIndex $index, private LabelQueue $labels)
    {
    }

    /**
     * @param list<PastedThing> $things
     *
     * @return list<Item>
     */
    public function __invoke(Step $step, Place $place, array $things): array
    {
        return array_map(fn (PastedThing $thing): Item => $this->one($step, $place, $thing), $things);
    }

    public function one(Step $step, Place $place, PastedThing $thing, string $note = ''): Item
    {
        $kind = $place->saysKind ?? Kind::Other;
        $tracking = $thing->tracking($kind);
        $item = new Item($thing->name, $kind, $tracking, PlaceNature::Storage === $place->nature ? $place : null);
        $item->maker = '' === $thing->maker ? self::only($place->saysMaker) : $thing->maker;
        $item->themes = [] !== $thing->themes || '' === self::only($place->saysTheme) ? $thing->themes : [$place->saysTheme];
        $item->colourName = $thing->colourName;
        $item->colour = $thing->colour ?? $this->colourCalled($thing->colourName);
        $item->season = $place->season;
        $this->entities->persist($item);
        $this->index->item($item);
        $this->labels->wishForThing($item, 'new');
        $this->stock($step, $item, $place, $thing->takenIn($tracking), Outside::Bought, $note);

        return $item;
    }

    /** What a place says, unless it names several. */
    private static function only(string $said): string
    {
        return str_contains($said, ',') ? '' : $said;
    }

    /** A colour that something else of the same name has. */
    private function colourCalled(string $name): ?string
    {
        $colour = '' === $name ? false : $this->database->fetchOne('SELECT colour FROM item WHERE colour_name = ? COLLATE NOCASE AND colour IS NOT NULL LIMIT 1', [$name]);

        return false === $colour ? null : (string) $colour;
    }

    /** More of what the catalogue knows already. */
    public function stock(Step $step, Item $item, Place $place, int $quantity, Outside $from, string $note = ''): void
    {
        $this->log->move($step, $item, $quantity, $this->log->outside($from), $place, Reason::TakeIn, null, $note);
    }
}
