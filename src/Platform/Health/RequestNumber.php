<?php

declare(strict_types=1);

namespace App\Platform\Health;

use Monolog\LogRecord;
use Monolog\Processor\ProcessorInterface;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Contracts\Service\ResetInterface;

/** Each request has a number that stands in all that is logged of it, and in its answer. */
#[AutoconfigureTag('monolog.processor')]
final class RequestNumber implements ProcessorInterface, ResetInterface
{
    public const HEADER = 'X-Request-Id';

    private string $number = '';

    public function __invoke(LogRecord $record): LogRecord
    {
        $record->extra['request'] = $this->number;

        return $record;
    }

    #[AsEventListener(priority: 1024)]
    public function onRequest(RequestEvent $event): void
    {
        if ($event->isMainRequest()) {
            $this->number = bin2hex(random_bytes(6));
        }
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        if ($event->isMainRequest()) {
            $event->getResponse()->headers->set(self::HEADER, $this->number);
        }
    }

    public function reset(): void
    {
        $this->number = '';
    }
}
