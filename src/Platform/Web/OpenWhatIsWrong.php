<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** A field that is wrong is seen: whatever folds it away is open on the page that tells it. */
#[AsEventListener]
final class OpenWhatIsWrong
{
    private const PARTS = '/<details\b[^>]*>|<\/details>|class="field-error"/';

    public function __invoke(ResponseEvent $event): void
    {
        $response = $event->getResponse();
        $isPage = str_starts_with((string) $response->headers->get('Content-Type', 'text/html'), 'text/html');
        if ($event->isMainRequest() && $isPage && $response->getStatusCode() >= 400 && $response->getStatusCode() < 500) {
            $response->setContent(self::opened((string) $response->getContent()));
        }
    }

    /** Returns a page in which all is open that holds a field with an error. */
    public static function opened(string $html): string
    {
        preg_match_all(self::PARTS, $html, $found, \PREG_OFFSET_CAPTURE);
        $around = $open = [];
        foreach ($found[0] as [$part, $at]) {
            if (str_starts_with($part, '<details')) {
                $around[] = [$at, $part];
            } elseif ('</details>' === $part) {
                array_pop($around);
            } else {
                foreach ($around as [$where, $tag]) {
                    $open[$where] = $tag;
                }
            }
        }
        krsort($open);
        foreach ($open as $where => $tag) {
            if (1 !== preg_match('/\sopen(?:[\s>=])/', $tag)) {
                $html = substr_replace($html, substr($tag, 0, -1).' open>', $where, \strlen($tag));
            }
        }

        return $html;
    }
}
