<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The year as a calendar that other programs ask for. */
final class FeedController extends Page
{
    public function __construct(private readonly Feeds $feeds)
    {
    }

    #[Route('/year/feeds', name: 'give_feed', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function give(Request $request): Response
    {
        return $this->write($request, function (Input $input, Step $step): Outcome {
            $name = $input->text('name', 60, true);
            if (\count($this->feeds->of($this->me())) >= Feeds::MOST) {
                $input->refuse('name', \sprintf('You have given out %d calendars. Stop one that nobody asks for first.', Feeds::MOST));
            }
            $input->check();
            $this->feeds->give($this->me(), $name, $step->at);

            return Outcome::final($this->generateUrl('year').'#feeds', \sprintf('The calendar for %s has its address.', $name));
        }, fn (Problem $problem): Response => $this->again($problem));
    }

    #[Route('/year/feeds/{feed<[0-9]{1,12}>}', name: 'stop_feed', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function stop(Request $request, int $feed): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($feed): Outcome {
            $one = $this->feeds->one($this->me(), $feed);
            $one->stop($step->at);

            return Outcome::final($this->generateUrl('year').'#feeds', \sprintf('The calendar for %s does not answer any more.', $one->name));
        }, fn (Problem $problem): Response => $this->again($problem));
    }

    /** Anybody who knows the word reads it: calendar programs cannot sign in. */
    #[Route('/calendar/{feed<[0-9]{1,12}>}-{word<[\w-]{1,64}>}.ics', name: 'feed', methods: ['GET'])]
    public function feed(Request $request, int $feed, string $word, YearFeed $calendar, ClockInterface $clock): Response
    {
        if (null === $this->feeds->opened($feed, $word)) {
            throw $this->createNotFoundException('There is no calendar at this address, or not any more.');
        }

        return new Response($calendar->written($request->getHost(), $clock->now()), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'inline; filename="lottel.ics"',
            'Referrer-Policy' => 'no-referrer',
        ]);
    }

    private function again(Problem $problem): Response
    {
        return $this->forward(YearController::class.'::page', ['problem' => $problem]);
    }
}
