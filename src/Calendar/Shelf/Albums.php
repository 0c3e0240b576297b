<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Kits\Kits\Kit;
use App\Kits\Kits\Kits;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Room\Catalogue\Item;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Kit\RefusedStage;

/** Albums: their pages in order, what fills a gap. */
final readonly class Albums
{
    public const MOST_PAGES = 400;

    public function __construct(private EntityManagerInterface $entities, private Kits $kits)
    {
    }

    /** @return list<Album> */
    public function all(): array
    {
        return $this->entities->getRepository(Album::class)->findBy(['removedAt' => null], ['name' => 'ASC']);
    }

    /** @throws Unknown if there is no such album */
    public function one(int $id): Album
    {
        $album = $this->entities->find(Album::class, $id);

        return null === $album || null !== $album->removedAt ? throw Unknown::album() : $album;
    }

    /** @throws Unknown if the album has no such page */
    public function page(Album $album, int $id): AlbumPage
    {
        $page = $this->entities->find(AlbumPage::class, $id);

        return null === $page || $page->album !== $album ? throw Unknown::album() : $page;
    }

    public function begin(string $name): Album
    {
        $this->entities->persist($album = new Album($name));
        $this->entities->flush();

        return $album;
    }

    /**
     * Adds a page at the end, or before another one.
     *
     * @throws StepRefused if the album is full
     */
    public function add(Album $album, string $title, ?AlbumPage $before = null): AlbumPage
    {
        if ($album->pages->count() >= self::MOST_PAGES) {
            throw ShelfRefused::albumIsFull($album->name, self::MOST_PAGES);
        }
        $page = new AlbumPage($album, null === $before ? self::last($album) + 1 : $before->position, $title);
        if (null !== $before) {
            foreach ($album->pages as $other) {
                $other->makeWayFor($page);
            }
        }
        $album->pages->add($page);
        $this->entities->persist($page);

        return $page;
    }

    private static function last(Album $album): int
    {
        return max([0, ...array_map(static fn (AlbumPage $page): int => $page->position, array_values($album->pages->toArray()))]);
    }

    /** Changes places with the page before it, or after it. */
    public function shift(AlbumPage $page, bool $isForward): void
    {
        $pages = $page->album->pages->toArray();
        usort($pages, static fn (AlbumPage $a, AlbumPage $b): int => [$a->position, $a->id] <=> [$b->position, $b->id]);
        $at = array_search($page, $pages, true);
        $other = false === $at ? null : $pages[$at + ($isForward ? 1 : -1)] ?? null;
        if (null !== $other) {
            $page->changePlacesWith($other);
        }
    }

    /** @throws StepRefused if it is in an album already */
    public function fill(AlbumPage $page, Item $item): void
    {
        $there = $this->entities->getRepository(AlbumPage::class)->findOneBy(['item' => $item]);
        if (null !== $there && $there !== $page && null === $there->album->removedAt) {
            throw ShelfRefused::isInAlbum($item->name, $there->album->name);
        }
        $page->fill($item);
    }

    public function takeOut(AlbumPage $page): void
    {
        $page->album->pages->removeElement($page);
        $this->entities->remove($page);
    }

    /**
     * @throws Unknown if there is no such kit
     * @throws RefusedStage if it is closed
     */
    public function openKit(int $id): Kit
    {
        $kit = $this->kits->one($id);
        $kit->checkOpen();

        return $kit;
    }
}
