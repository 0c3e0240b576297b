<?php

declare(strict_types=1);

namespace App\Room\Undo;

use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\Routing\Exception\ExceptionInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Routing\Matcher\UrlMatcherInterface;

/** Where a person goes on after an undo: the page that it came from, or the nearest one where that page is about something that is gone. */
final readonly class PageAfterUndo
{
    private const SUBJECTS = [
        'items' => ['SELECT 1 FROM item WHERE id = ? AND removed_at IS NULL', 'stores'],
        'places' => ['SELECT 1 FROM place WHERE address = ? AND retired_at IS NULL', 'stores'],
        'units' => ['SELECT 1 FROM unit WHERE letters = ?', 'stores'],
        'plan' => ['SELECT 1 FROM room WHERE id = ?', 'floor_plan'],
    ];

    /** @param iterable<HasPages> $areas */
    public function __construct(
        #[AutowireIterator(HasPages::class)]
        private iterable $areas,
        private Connection $database,
        private UrlMatcherInterface $matcher,
        private UrlGeneratorInterface $urls,
    ) {
    }

    public function to(string $path): string
    {
        if (1 !== preg_match('#^/(?![/\\\\])[\w/.,=&?%+-]*$#D', $path)) {
            return $this->urls->generate('log');
        }
        $bare = explode('?', $path, 2)[0];
        try {
            $route = $this->pageAt(rawurldecode($bare));
        } catch (ExceptionInterface) {
            return $this->urls->generate('log');
        }
        if (1 !== preg_match('#^/(?:stores/)?(\w+)/([^/]+)#', $bare, $m)) {
            return $path;
        }
        $named = $route['id'] ?? $route['address'] ?? $route['letters'] ?? $m[2];
        $otherwise = $this->whereGone($m[1], \is_scalar($named) ? (string) $named : $m[2]);

        return null === $otherwise ? $path : $this->urls->generate($otherwise);
    }

    /** The nearest page where what an address is about is gone; null where it is there. */
    private function whereGone(string $pages, string $subject): ?string
    {
        foreach ($this->areas as $area) {
            if ($pages === $area->pagesBeginWith()) {
                return $area->isThere($subject) ? null : $area->otherwise();
            }
        }
        [$sql, $otherwise] = self::SUBJECTS[$pages] ?? [null, null];

        return null === $sql || false !== $this->database->fetchOne($sql, [$subject]) ? null : $otherwise;
    }

    /**
     * @return array<array-key, mixed> what is known of a page that one can go to
     *
     * @throws ExceptionInterface if there is none
     */
    private function pageAt(string $path): array
    {
        $context = $this->matcher->getContext();
        $method = $context->getMethod();
        try {
            $context->setMethod('GET');

            return $this->matcher->match($path);
        } finally {
            $context->setMethod($method);
        }
    }
}
