<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/** Whoever is not signed in is asked to; a form that was on its way is kept until then. */
final readonly class AskToSignIn implements AuthenticationEntryPointInterface
{
    public function __construct(private UrlGeneratorInterface $urls, private KnownBrowser $browser)
    {
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        if (!$request->isMethodSafe() && $this->browser->isKnown($request)) {
            UnfinishedForm::sent($request->getPathInfo(), $request->request->all())->keep($request->getSession());
        }
        $url = $this->urls->generate('sign_in');

        return $request->headers->has('HX-Request') ? new Response('', 200, ['HX-Redirect' => $url]) : new RedirectResponse($url, 303);
    }
}
