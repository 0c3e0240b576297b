<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Psr\Cache\CacheItemPoolInterface;

/** Keeps what takes long to work out until the log or a record changes, or what it was asked for does. */
final readonly class KeptUntilChanged
{
    public function __construct(private RoomMark $mark, private CacheItemPoolInterface $cache)
    {
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $what
     * @param string $asked for which it was worked out, such as a day
     * @param \Closure(): T $find
     *
     * @return T
     */
    public function get(string $what, string $asked, \Closure $find): object
    {
        $known = $this->known($what, $asked);
        if (null !== $known) {
            return $known;
        }
        $mark = $this->mark->now();
        $found = $find();
        $kept = $this->cache->getItem(self::key($what, $asked));
        $this->cache->save($kept->set([$mark, $found]));

        return $found;
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $what
     *
     * @return T|null null where it was not worked out, or something changed since
     */
    public function known(string $what, string $asked): ?object
    {
        $kept = $this->cache->getItem(self::key($what, $asked))->get();
        if (!\is_array($kept) || !($kept[1] ?? null) instanceof $what) {
            return null;
        }
        $mark = $this->mark->now();

        return $kept[0] === $mark && $this->mark->follows($mark) ? $kept[1] : null;
    }

    private static function key(string $what, string $asked): string
    {
        return 'kept-'.hash('xxh128', $what.' '.$asked);
    }
}
