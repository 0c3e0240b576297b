<?php

declare(strict_types=1);

namespace App\Find;

use App\Labels\ReadLabel;
use App\Steps\Outcome;
use App\Stores\RoomReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Label\ScanCode;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class FindController extends Page
{
    private const FIELDS = ['q', 'kind', 'theme', 'colour', 'panel', 'state', 'unused', 'order'];

    public function __construct(private readonly FindReading $finder, private readonly RoomReading $room, private readonly Connection $database)
    {
    }

    #[Route('/find', name: 'find', methods: ['GET'])]
    public function find(Request $request, ReadLabel $read): Response
    {
        $text = mb_substr($request->query->getString('q'), 0, 200);
        $scanned = null === ScanCode::read($text) ? null : $read($text);
        if (null !== $scanned) {
            return null === $scanned->item ? $this->redirectToRoute('place', ['address' => $scanned->place->address ?? '']) : $this->redirectToRoute('item', ['id' => $scanned->item->id]);
        }

        return $this->show($request, null);
    }

    #[Route('/find/saved', name: 'save_search', methods: ['POST'])]
    public function save(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('search_name', 60, true);
            parse_str($input->text('query', 1000, true), $asked);
            $input->check();
            $query = http_build_query(self::fields($asked));
            $this->database->executeStatement('INSERT INTO saved_search (name, query) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET query = excluded.query', [$name, $query]);

            return Outcome::undoable($this->generateUrl('find').'?'.$query, \sprintf('“%s” is kept.', $name));
        }, fn (Problem $problem): Response => $this->show($request, $problem));
    }

    #[Route('/find/saved/{id<[0-9]{1,9}>}', name: 'forget_search', methods: ['POST'])]
    public function forget(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $this->database->delete('saved_search', ['id' => $id]);

            return Outcome::undoable($this->generateUrl('find'), 'That search is forgotten.');
        }, fn (Problem $problem): Response => $this->show($request, $problem));
    }

    private function show(Request $request, ?Problem $problem): Response
    {
        $asked = [];
        if (null !== $problem) {
            parse_str($request->request->getString('query'), $asked);
        } else {
            $asked = $request->query->all();
        }
        $fields = self::fields($asked);
        [$filter, $errors] = $this->filter($fields);
        $found = $this->finder->find($filter);
        $isFragment = $request->headers->has('HX-Request') && 'results' === $request->headers->get('HX-Target');

        return $this->render($isFragment ? 'find/_results.html.twig' : 'find/page.html.twig', [
            'text' => $filter->text,
            'filter' => $filter,
            'fields' => array_filter($fields, static fn (string $value): bool => '' !== $value),
            'errors' => $errors,
            'found' => $found,
            'counts' => $isFragment ? null : $this->finder->counts($filter),
            'saved' => $isFragment ? [] : $this->finder->saved(),
            'lit' => $this->lit($found),
            'is_fragment' => $isFragment,
            'problem' => $problem,
        ]);
    }

    /**
     * @param array<mixed> $asked
     *
     * @return array<string, string> what the page knows of it
     */
    private static function fields(array $asked): array
    {
        return array_map(static fn (mixed $value): string => \is_string($value) ? mb_substr(mb_scrub($value), 0, 200) : '', array_intersect_key($asked, array_flip(self::FIELDS)));
    }

    /**
     * @param array<string, string> $fields
     *
     * @return array{FindFilter, array<string, string>}
     */
    private function filter(array $fields): array
    {
        $errors = [];
        $colour = $panel = null;
        try {
            $colour = '' === ($fields['colour'] ?? '') ? null : ColourWanted::read($fields['colour'], $this->frame->colours());
        } catch (InvalidColour $wrong) {
            $errors['colour'] = $wrong->getMessage();
        }
        try {
            $sides = array_filter(array_map(trim(...), preg_split('/[×x*]|\bby\b/u', $fields['panel'] ?? '') ?: []));
            if (2 === \count($sides)) {
                $ticks = array_map(fn (string $side): int => Length::parse($side, $this->frame->measure())->ticks, array_values($sides));
                $panel = [max(1, $ticks[0]), max(1, $ticks[1])];
            } elseif ([] !== $sides) {
                $errors['panel'] = 'Write it like 4 1/4 × 5 1/2.';
            }
        } catch (InvalidLength $wrong) {
            $errors['panel'] = $wrong->getMessage();
        }
        $state = \in_array($fields['state'] ?? '', FindFilter::STATES, true) ? $fields['state'] : '';
        $unused = preg_match('/^\d{1,3}$/D', $fields['unused'] ?? '') ? max(1, (int) $fields['unused']) : null;

        return [new FindFilter(trim($fields['q'] ?? ''), Kind::tryFrom($fields['kind'] ?? ''), $fields['theme'] ?? '', $colour, $panel, $state, $unused, 'walk' === ($fields['order'] ?? '')), $errors];
    }

    /**
     * @param array{items: list<array<string, mixed>>, places: list<array<string, mixed>>, instead: array<string, list<string>>, is_loose: bool} $found
     *
     * @return array<int, string>
     */
    private function lit(array $found): array
    {
        $lit = [];
        foreach ($found['items'] as $index => $item) {
            $front = null === $item['home_id'] ? null : $this->room->frontOf((int) $item['home_id']);
            if (null !== $front) {
                $lit[$front] ??= $index < 9 ? (string) ($index + 1) : '';
            }
        }
        foreach ($found['places'] as $place) {
            $front = $this->room->frontOf((int) $place['id']);
            if (null !== $front) {
                $lit[$front] ??= '';
            }
        }

        return $lit;
    }
}
