<?php

declare(strict_types=1);

namespace App\Room\Undo;

use Doctrine\DBAL\Connection;
use Symfony\Component\Routing\Exception\ExceptionInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Routing\Matcher\UrlMatcherInterface;

/** Where a person goes on after an undo: the page that it came from, or the nearest one where that page is about something that is gone. */
final readonly class PageAfterUndo
{
    private const SUBJECTS = [
        'kits' => ['SELECT 1 FROM kit WHERE id = ? AND removed_at IS NULL', 'plan'],
        'items' => ['SELECT 1 FROM item WHERE id = ? AND removed_at IS NULL', 'stores'],
        'places' => ['SELECT 1 FROM place WHERE address = ? AND retired_at IS NULL', 'stores'],
        'units' => ['SELECT 1 FROM unit WHERE letters = ?', 'stores'],
        'plan' => ['SELECT 1 FROM room WHERE id = ?', 'floor_plan'],
    ];

    public function __construct(private Connection $database, private UrlMatcherInterface $matcher, private UrlGeneratorInterface $urls)
    {
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
        if (1 !== preg_match('#^/(?:stores/)?(kits|items|places|units|plan)/([^/]+)#', $bare, $m)) {
            return $path;
        }
        [$sql, $otherwise] = self::SUBJECTS[$m[1]];
        $subject = $route['id'] ?? $route['address'] ?? $route['letters'] ?? $m[2];

        return false === $this->database->fetchOne($sql, [$subject]) ? $this->urls->generate($otherwise) : $path;
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
