<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\WarnOfReach;
use App\Room\Labels\ReadLabel;
use App\Room\Labels\Scanned;
use App\Room\Stores\FrontRow;
use App\Room\Stores\RoomReading;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Label\ScanCode;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Labels that are read: by the camera, by a hand scanner, or by the stand-in for one. */
final class ScanController extends Page
{
    public function __construct(
        private readonly RoomReading $room,
        private readonly Items $items,
        private readonly Kits $kits,
        private readonly WarnOfReach $warn,
    ) {
    }

    #[Route('/scan', name: 'scan', methods: ['GET'])]
    public function page(Request $request): Response
    {
        return $this->showPage($this->context($request->query->getString('on')), null);
    }

    #[Route('/scan', name: 'scanned', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function scanned(Request $request, ReadLabel $read, ScanOnRound $round, KeepHomes $homes): Response
    {
        $on = $this->context($request->request->getString('on'));

        return $this->write(
            $request,
            function (Input $input, Step $step) use ($read, $round, $homes, $on): Outcome {
                $text = $input->text('code', 400, true);
                $scanned = '' === $text ? null : $read($text);
                if ('' !== $text && null === $scanned) {
                    '' === $on[0] ? $input->refuse('code', WrongDrawer::notOurs($text)->getMessage()) : throw WrongDrawer::notOurs($text);
                }
                $input->check();
                \assert(null !== $scanned);
                [$what, $id] = $on;

                return match ($what) {
                    'pull' => Outcome::undoable($this->generateUrl('pull_kit', ['id' => $id]), $round->pull($step, $this->kits->one($id), $scanned)),
                    'return' => Outcome::undoable(
                        $this->generateUrl('return_kit', ['id' => $id]),
                        $round->bringHome(
                            $step,
                            $this->kits->one($id),
                            $scanned,
                            array_values(array_filter(explode(',', $input->text('cared', 200)), static fn (string $hazard): bool => '' !== $hazard)),
                        ),
                    ),
                    'file' => $this->fileIt($step, $id, $scanned, $homes),
                    default => Outcome::undoable($this->urlOf($scanned), ''),
                };
            },
            fn (Problem $problem): Response => match ($on[0]) {
                'pull' => $this->forward(PullController::class.'::again', ['id' => $on[1], 'problem' => $problem]),
                'return' => $this->forward(ReturnController::class.'::again', ['id' => $on[1], 'problem' => $problem]),
                default => $this->sayHere($request, $problem) ?? $this->showPage($on, $problem),
            },
        );
    }

    /** A foreign code is told on the page on which it was scanned, which stays as it is. */
    private function sayHere(Request $request, Problem $problem): ?Response
    {
        if (!$request->headers->has('HX-Request') || 'scan' === $request->request->getString('_form')) {
            return null;
        }

        return $this->render(
            'kits/rounds/_scan_said.html.twig',
            ['problem' => $problem],
            new Response(headers: ['HX-Retarget' => '#scan-said', 'HX-Reswap' => 'innerHTML']),
        );
    }

    private function fileIt(Step $step, int $id, Scanned $scanned, KeepHomes $homes): Outcome
    {
        if (null === $scanned->place || $scanned->place->isFolder() || !$this->isGranted('ROLE_OWNER')) {
            return Outcome::undoable($this->urlOf($scanned), '');
        }
        $item = $this->items->one($id);
        $homes->giveHome($step, $item, $scanned->place);

        return Outcome::undoable(
            $this->generateUrl('queue'),
            trim(\sprintf('%s is at home in %s now. %s', $item->name, $scanned->place->address, $this->warn->ofHome($item) ?? '')),
        );
    }

    private function urlOf(Scanned $scanned): string
    {
        if (true === $scanned->place?->isFolder()) {
            return $this->generateUrl('kit', ['id' => $this->kits->on($scanned->place)->id]);
        }

        return null !== $scanned->item
            ? $this->generateUrl('item', ['id' => $scanned->item->id])
            : $this->generateUrl('place', ['address' => $scanned->place->address ?? '']);
    }

    /** @return array{string, int} what is going on, and of which kit or item */
    private function context(string $on): array
    {
        return 1 === preg_match('/^(pull|return|file):(\d{1,12})$/D', $on, $m) ? [$m[1], (int) $m[2]] : ['', 0];
    }

    /** @param array{string, int} $on */
    private function showPage(array $on, ?Problem $problem): Response
    {
        $labels = [];
        $places = $this->room->places();
        uasort($places, static fn (FrontRow $a, FrontRow $b): int => Address::compare($a->address, $b->address));
        foreach ($places as $place) {
            $labels[(string) ScanCode::ofPlace($place->id)] = $place->address.' · '.$place->title;
        }

        return $this->render('kits/rounds/scan.html.twig', [
            'on' => $on,
            'scan_on' => '' === $on[0] ? '' : $on[0].':'.$on[1],
            'labels' => $labels,
            'problem' => $problem,
        ]);
    }
}
