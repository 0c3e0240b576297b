<?php

declare(strict_types=1);

namespace App\Platform\Web;

use App\Platform\Database\RoomUnavailable;
use App\Platform\Security\UnfinishedForm;
use App\Platform\Steps\Unknown;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Exception\RequestExceptionInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Twig\Environment;

/**
 * Says in plain words what went wrong and where to go on, and shows what was typed, so that it can be copied. Faults of the
 * program are logged and keep their 500.
 */
#[AsEventListener(priority: -10)]
final readonly class ErrorPage
{
    private const SHOWN_CHARACTERS = 4000;
    private const NOT_TYPED = ['quick', 'back', 'on', 'now', 'need', 'item', 'kit', 'step', 'cared'];

    public function __construct(private Environment $twig)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $exception = $event->getThrowable();
        $unavailable = RoomUnavailable::from($exception);
        if (null === $unavailable && ($exception instanceof AccessDeniedException || $exception instanceof AuthenticationException)) {
            return;
        }
        $status = match (true) {
            null !== $unavailable => 503,
            $exception instanceof HttpExceptionInterface => $exception->getStatusCode(),
            $exception instanceof RequestExceptionInterface => 400,
            default => 500,
        };
        $message = $unavailable?->getMessage() ?? $this->message($exception, $status);
        $page = $this->twig->render('platform/web/error.html.twig', [
            'status' => $status, 'message' => $message, 'typed' => $this->typed($event->getRequest()),
        ]);
        $event->setResponse(new Response($page, $status, 503 === $status ? ['Retry-After' => '5'] : []));
    }

    private function message(\Throwable $exception, int $status): string
    {
        $unknown = $exception->getPrevious() instanceof Unknown ? $exception->getPrevious() : null;

        return match (true) {
            null !== $unknown => $unknown->getMessage(),
            403 === $status && !$exception->getPrevious() instanceof AccessDeniedException => $exception->getMessage(),
            403 === $status => 'Only the owner of the room can do this.',
            404 === $status => 'There is no such page.',
            405 === $status => 'This address takes forms only. Go back and use the button.',
            $status >= 400 && $status < 500 => 'This cannot be read as an address or a form of this room. Go back, and use the page’s own links and buttons.',
            default => 'Something in Lottel broke. Nothing that was written is lost; go back and try again.',
        };
    }

    /** @return array<string, string> what a person had typed, without what pages add to their forms, and without passwords */
    private function typed(Request $request): array
    {
        if ($request->isMethodSafe()) {
            return [];
        }
        $typed = array_filter(
            UnfinishedForm::flattened($request->request->all()),
            static fn (string $value, string $name): bool => '' !== trim($value)
                && '_' !== $name[0]
                && !\in_array($name, self::NOT_TYPED, true)
                && !UnfinishedForm::isSecret($name),
            \ARRAY_FILTER_USE_BOTH,
        );

        return array_map(static fn (string $value): string => mb_substr($value, 0, self::SHOWN_CHARACTERS), \array_slice($typed, 0, 40, true));
    }
}
