<?php

declare(strict_types=1);

namespace App\Platform\Security;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Http\Authentication\AuthenticationSuccessHandlerInterface;
use Symfony\Component\Security\Http\Util\TargetPathTrait;

final readonly class GoOnAfterSignIn implements AuthenticationSuccessHandlerInterface
{
    use TargetPathTrait;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token): Response
    {
        $session = $request->getSession();
        if (null !== UnfinishedForm::waiting($session)) {
            return new RedirectResponse($this->urls->generate('go_on'), 303);
        }
        $target = $this->getTargetPath($session, 'main');
        $this->removeTargetPath($session, 'main');

        return new RedirectResponse($target ?? $this->urls->generate('home'), 303);
    }
}
