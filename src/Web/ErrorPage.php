<?php

declare(strict_types=1);

namespace App\Web;

use App\Service\Unknown;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Twig\Environment;

/** Says in plain words what went wrong and where to go on. Faults of the program are logged and keep their 500. */
#[AsEventListener(priority: -10)]
final readonly class ErrorPage
{
    public function __construct(private Environment $twig)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $exception = $event->getThrowable();
        if ($exception instanceof AccessDeniedException || $exception instanceof AuthenticationException) {
            return;
        }
        $unknown = $exception->getPrevious() instanceof Unknown ? $exception->getPrevious() : null;
        $status = match (true) {
            $exception instanceof HttpExceptionInterface => $exception->getStatusCode(),
            default => 500,
        };
        $message = match (true) {
            null !== $unknown => $unknown->getMessage(),
            403 === $status && !$exception->getPrevious() instanceof AccessDeniedException => $exception->getMessage(),
            403 === $status => 'Only the owner of the room can do this.',
            404 === $status => 'There is no such page.',
            405 === $status => 'This address takes forms only. Go back and use the button.',
            default => 'Something in Lottel broke. Nothing that was written is lost; go back and try again.',
        };
        $event->setResponse(new Response($this->twig->render('error.html.twig', ['status' => $status, 'message' => $message]), $status));
    }
}
