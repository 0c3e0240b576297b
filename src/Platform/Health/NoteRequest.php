<?php

declare(strict_types=1);

namespace App\Platform\Health;

use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/** One line for each answer: which page by its route, how it ended, how long it took, how much memory. No names, no addresses of pages. */
#[AsEventListener]
final readonly class NoteRequest
{
    public const MESSAGE = 'answered';

    public function __construct(#[Autowire(service: 'monolog.logger')] private LoggerInterface $log)
    {
    }

    public function __invoke(TerminateEvent $event): void
    {
        $request = $event->getRequest();
        $route = $request->attributes->get('_route');
        if ('progress' === $route || 'kit_version' === $route) {
            return;
        }
        $since = $request->server->get('REQUEST_TIME_FLOAT');
        $this->log->info(self::MESSAGE, [
            'page' => \is_string($route) ? $route : 'none',
            'method' => $request->getMethod(),
            'status' => $event->getResponse()->getStatusCode(),
            'ms' => (int) round(1000 * (microtime(true) - (is_numeric($since) ? (float) $since : microtime(true)))),
            'mb' => (int) ceil(memory_get_peak_usage() / 1_000_000),
        ]);
    }
}
