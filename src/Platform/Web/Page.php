<?php

declare(strict_types=1);

namespace App\Platform\Web;

use App\Platform\Security\Account;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\WriteOnce;
use Lottel\Core\Log\Tracking;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Contracts\Service\Attribute\Required;

/** What the pages share: a write goes through once and leads on, or comes back with its problem. */
abstract class Page extends AbstractController
{
    private WriteOnce $once;
    protected Frame $frame;
    protected Measures $measures;
    protected RoomClock $roomClock;
    protected KnownColours $ownColours;

    #[Required]
    public function equip(WriteOnce $once, Frame $frame, Measures $measures, RoomClock $roomClock, KnownColours $ownColours): void
    {
        $this->once = $once;
        $this->frame = $frame;
        $this->measures = $measures;
        $this->roomClock = $roomClock;
        $this->ownColours = $ownColours;
    }

    /** Goes to the page of a kit in the place of one that it has left, and says there what was just done. */
    protected function toKit(int $id): RedirectResponse
    {
        $done = $this->frame->done()?->id;

        return $this->redirectToRoute('kit', null === $done ? ['id' => $id] : ['id' => $id, 'done' => $done]);
    }

    /**
     * @param callable(Input, Step): Outcome $work
     * @param callable(Problem): Response $again shows the page with the problem
     * @param callable(Input): void|null $before what takes long and needs no lock, such as reading a picture
     */
    protected function write(Request $request, callable $work, callable $again, ?callable $before = null): Response
    {
        return $this->attempt($request, function (Input $input) use ($request, $work, $again, $before): string {
            $id = $input->requestId();
            if (null !== $before) {
                $before($input);
            }
            $outcome = $this->once->do($id, $this->me(), function (Step $step) use ($request, $input, $work, $again): Outcome {
                $this->follow($request, $input, $again);

                return $work($input, $step);
            });

            return $this->withDone($outcome->goTo, $id);
        }, $again);
    }

    /**
     * What is no step of its own, or one in parts.
     *
     * @param callable(Input): string $work returns where to go on
     * @param callable(Problem): Response $again shows the page with the problem
     */
    protected function attempt(Request $request, callable $work, callable $again): Response
    {
        try {
            return new RedirectResponse($work($this->input($request)), 303);
        } catch (\Throwable $exception) {
            $problem = Problem::from($exception, $request, $this->measures->quantities()) ?? throw $exception;
            $response = $again($problem);
            $response->setStatusCode($problem->status);
            $response->headers->set('HX-Push-Url', 'false');

            return $response;
        }
    }

    /**
     * What the person did not touch stays as it is by now.
     *
     * @param callable(Problem): Response $again
     *
     * @throws InvalidInput if somebody else has changed the same field meanwhile
     */
    private function follow(Request $request, Input $input, callable $again): void
    {
        $old = OldPage::of($request);
        $form = $request->request->all()['_form'] ?? '';
        if (null !== $old && \is_string($form)) {
            $now = KeptForm::named((string) $again(Problem::none())->getContent(), $form);
            if (null !== $now) {
                $old->follow($now, $input);
            }
            $input->check();
        }
    }

    /** The page on which things were chosen: a place, or what was found; as its form says. */
    protected function cameFrom(Input $input): string
    {
        [$page, $about] = explode(':', $input->text('from', 1000), 2) + ['', ''];
        if (\in_array($page, ['find', 'paper', 'weigh'], true)) {
            parse_str($about, $asked);

            return $this->generateUrl($page).'?'.http_build_query(array_filter($asked, is_scalar(...)));
        }

        return 'place' === $page && 1 === preg_match('/^[A-Z]{1,3}[\w.-]{0,20}$/D', $about)
            ? $this->generateUrl('place', ['address' => $about])
            : $this->generateUrl('stores');
    }

    /** Shows the page on which things were chosen once more, with what went wrong. */
    protected function showAgain(Request $request, Problem $problem): Response
    {
        [$path, $query] = explode('?', $this->cameFrom($this->input($request)), 2) + ['', ''];
        parse_str($query, $asked);
        $router = $this->container->get('router');
        \assert($router instanceof RouterInterface);
        $router->getContext()->setMethod('GET');
        $route = $router->match(rawurldecode($path));
        \assert(\is_string($route['_controller']));

        return $this->forward($route['_controller'], ['problem' => $problem] + $route, $asked);
    }

    /** A file that the browser puts aside. */
    protected function download(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => \sprintf('attachment; filename="%s"', $name)]);
    }

    /** @param array<string, mixed> $document */
    protected static function jsonDocument(array $document): string
    {
        return json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES)."\n";
    }

    protected function quantityInWords(int $quantity, Tracking $tracking): string
    {
        return $this->measures->quantities()->print($quantity, $tracking);
    }

    protected function input(Request $request): Input
    {
        return new Input($request, $this->measures->quantities(), $this->measures->measure(), $this->ownColours->words(...));
    }

    protected function me(): Account
    {
        $user = $this->getUser();
        \assert($user instanceof Account);

        return $user;
    }

    protected function withDone(string $url, string $id): string
    {
        return $url.(str_contains($url, '?') ? '&' : '?').'done='.$id;
    }
}
