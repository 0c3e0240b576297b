<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemIndex;
use App\Room\Catalogue\Items;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceIndex;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\Sheet;
use Lottel\Core\Words\SizeWords;

/** Keeps the full-text index true. Items have even numbers in it, places odd ones. */
final readonly class FindIndex implements PlaceIndex, ItemIndex
{
    private const AT_ONCE = 500;

    public function __construct(private Connection $database, private EntityManagerInterface $entities, private Items $items)
    {
    }

    /** Makes it anew from all things and places, as after a room was read in. */
    public function rebuild(): void
    {
        $this->database->executeStatement('DELETE FROM finder');
        foreach ([Place::class => $this->writePlace(...), Item::class => $this->writeItem(...)] as $class => $write) {
            for ($last = 0; [] !== $some = $this->next($class, $last); $this->entities->clear()) {
                foreach ($some as $one) {
                    $write($one);
                    $last = (int) $one->id;
                }
            }
        }
    }

    /**
     * @template T of Place|Item
     *
     * @param class-string<T> $class
     *
     * @return list<T>
     */
    private function next(string $class, int $after): array
    {
        /** @var list<T> */
        return $this->entities->createQuery("SELECT one FROM {$class} one WHERE one.id > :after ORDER BY one.id")
            ->setParameter('after', $after)->setMaxResults(self::AT_ONCE)->getResult();
    }

    public function item(Item $item): void
    {
        $this->entities->flush();
        $this->writeItem($item);
    }

    public function items(array $items): void
    {
        $this->entities->flush();
        array_walk($items, $this->writeItem(...));
    }

    private function writeItem(Item $item): void
    {
        if (null !== $item->removedAt) {
            $this->forgetItem((int) $item->id);

            return;
        }
        $colour = null === $item->colour ? '' : ColourWords::wordsFor(Srgb::ofHex($item->colour));
        $words = implode(' ', [
            $colour,
            SizeWords::in($item->name.' '.$item->note),
            $item->sentiments,
            ...$item->themes,
            $item->colourName,
            $item->kind->value,
            $item->note,
            $item->collection,
            $item->season,
            $item->sheet->finish,
            self::measures($item->sheet->sheet()),
            ...array_map(self::size(...), CutSizes::ofTicks($item->cutSizes ?? [])->sizes),
            ...array_values($item->details),
        ]);
        $this->put(2 * (int) $item->id, $item->name, $item->maker, $words, $item->home->address ?? '');
    }

    /** Size and weight of a sheet as one looks for them. */
    private static function measures(Sheet $sheet): string
    {
        return trim((null === $sheet->size ? '' : self::size($sheet->size)).' '.($sheet->weight?->inWords() ?? ''));
    }

    private static function size(Size $size): string
    {
        $inches = new LengthFormat(LengthUnit::Inch);

        return SizeWords::in($inches->number($size->width).' x '.$inches->number($size->height));
    }

    public function place(Place $place): void
    {
        $this->entities->flush();
        $this->writePlace($place);
    }

    private function writePlace(Place $place): void
    {
        if (!$place->isStorageInUse()) {
            return;
        }
        $words = implode(' ', [
            $place->kind,
            $place->saysKind->value ?? '',
            $place->saysMaker,
            $place->saysTheme,
            $place->saysColour,
            $place->unit->name ?? '',
        ]);
        $this->put(2 * (int) $place->id + 1, $place->name, '', $words, $place->address);
    }

    public function readdressed(Place $place): void
    {
        $this->place($place);
        array_map($this->item(...), $this->items->withHome($place));
    }

    public function forgetItem(int $item): void
    {
        $this->database->executeStatement('DELETE FROM finder WHERE rowid = ?', [2 * $item]);
    }

    public function forgetPlace(Place $place): void
    {
        $this->database->executeStatement('DELETE FROM finder WHERE rowid = ?', [2 * (int) $place->id + 1]);
    }

    private function put(int $row, string $name, string $maker, string $words, string $address): void
    {
        $this->database->executeStatement('DELETE FROM finder WHERE rowid = ?', [$row]);
        $this->database->executeStatement('INSERT INTO finder (rowid, name, maker, words, address) VALUES (?, ?, ?, ?, ?)', [
            $row,
            $name,
            $maker,
            $words,
            $address,
        ]);
    }
}
