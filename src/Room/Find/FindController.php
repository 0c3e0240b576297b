<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Labels\ReadLabel;
use App\Room\Stores\RoomReading;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Label\ScanCode;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Things and places by their words, and searches that are kept. */
final class FindController extends Page
{
    private const NUMBERED = 9;

    public function __construct(
        private readonly FindReading $finder,
        private readonly FacetReading $facets,
        private readonly KeepSearch $searches,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/find', name: 'find', methods: ['GET'])]
    public function find(Request $request, ReadLabel $read, ?Problem $problem = null): Response
    {
        $text = mb_substr($request->query->getString('q'), 0, 200);
        $scanned = null === ScanCode::read($text) ? null : $read($text);
        if (null !== $scanned) {
            return null === $scanned->item
                ? $this->redirectToRoute('place', ['address' => $scanned->place->address ?? ''])
                : $this->redirectToRoute('item', ['id' => $scanned->item->id]);
        }

        return $this->show($request, $problem);
    }

    #[Route('/find/saved', name: 'save_search', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function save(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('search_name', 60, true);
            parse_str($input->text('query', 1000, true), $asked);
            $input->check();
            $query = http_build_query(FindForm::fields($asked));
            ($this->searches)($name, $query);

            return Outcome::undoable($this->generateUrl('find').'?'.$query, \sprintf('“%s” is kept.', $name));
        }, fn (Problem $problem): Response => $this->show($request, $problem));
    }

    #[Route('/find/saved/{id<[0-9]{1,9}>}', name: 'forget_search', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function forget(Request $request, int $id): Response
    {
        return $this->write($request, function () use ($id): Outcome {
            $this->searches->forget($id);

            return Outcome::undoable($this->generateUrl('find'), 'That search is forgotten.');
        }, fn (Problem $problem): Response => $this->show($request, $problem));
    }

    private function show(Request $request, ?Problem $problem): Response
    {
        $asked = $request->query->all();
        if ($request->request->has('query')) {
            parse_str($request->request->getString('query'), $asked);
        }
        $form = FindForm::read($asked, $this->measures, $this->ownColours->words());
        $found = $this->finder->find($form->filter);
        $isFragment = $request->headers->has('HX-Request') && 'results' === $request->headers->get('HX-Target');

        return $this->render($isFragment ? 'room/find/_results.html.twig' : 'room/find/page.html.twig', [
            'text' => $form->filter->text,
            'filter' => $form->filter,
            'fields' => $form->fields,
            'errors' => $form->errors,
            'found' => $found,
            'counts' => $isFragment ? null : $this->facets->counts($form->filter),
            'saved' => $isFragment ? [] : $this->searches->all(),
            'lit' => $this->lit($found),
            'is_fragment' => $isFragment,
            'kinds' => Kind::cases(),
            'seasons' => Season::cases(),
            'problem' => $problem,
        ]);
    }

    /** @return array<int, string> the homes of what was found, the first ones with their numbers; then the places */
    private function lit(Found $found): array
    {
        $lit = [];
        foreach ($found->items as $index => $item) {
            $lit[] = [$item->thing->homeId, $index < self::NUMBERED ? (string) ($index + 1) : ''];
        }
        foreach ($found->places as $place) {
            $lit[] = [$place->id, ''];
        }

        return $this->room->litWith($lit);
    }
}
