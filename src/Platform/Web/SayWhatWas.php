<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** A form about something that is written down carries along what stood in it, so that an old page is known as one. */
#[AsEventListener(priority: 10)]
final class SayWhatWas
{
    public function __invoke(ResponseEvent $event): void
    {
        $response = $event->getResponse();
        $html = (string) $response->getContent();
        $isPage = str_starts_with((string) $response->headers->get('Content-Type', 'text/html'), 'text/html');
        if (!$event->isMainRequest() || !$isPage || !str_contains($html, 'data-keeps')) {
            return;
        }
        $request = $event->getRequest();
        $sent = $request->request->all()['_form'] ?? '';
        $seen = $request->attributes->get(OldPage::WAS) ?? json_decode($request->request->getString(OldPage::WAS), true);
        foreach (array_reverse(KeptForm::all($html)) as $form) {
            $was = $form->name === $sent && \is_array($seen) ? $seen : $form->fields;
            $json = htmlspecialchars((string) json_encode($was, \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES), \ENT_QUOTES);
            $html = substr_replace($html, '<input type="hidden" name="'.OldPage::WAS.'" value="'.$json.'">', $form->inside, 0);
        }
        $response->setContent($html);
    }
}
