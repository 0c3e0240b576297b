<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Find\FindIndex;
use App\Kits\KitReading;
use App\Kits\KitRow;
use App\Labels\LabelQueue;
use App\Log\LogFilter;
use App\Log\LogReading;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Steps\Unknown;
use App\Stores\BuildUnit;
use App\Stores\Place;
use App\Stores\RoomReading;
use App\Stores\StoreReading;
use App\Web\Input;
use App\Web\InvalidInput;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Colour\Family;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Filing\SortBy;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class StoresController extends Page
{
    public function __construct(private readonly RoomReading $room, private readonly StoreReading $stores, private readonly LogReading $log, private readonly KitReading $kits, private readonly HomeReading $homes)
    {
    }

    #[Route('/stores', name: 'stores', methods: ['GET'])]
    public function index(): Response
    {
        $season = Season::broughtForwardOn($this->frame->today());

        return $this->render('stores/index.html.twig', ['season' => $season->value, 'in_season' => $this->stores->ofSeason($season->value), 'units' => $this->room->units(), 'places' => $this->room->placesByUnit()]);
    }

    #[Route('/stores/units/{letters}', name: 'unit', methods: ['GET'])]
    public function unit(string $letters): Response
    {
        $unit = $this->room->unit($letters);
        $id = (int) $unit['id'];

        return $this->render('stores/unit.html.twig', ['unit' => $unit, 'places' => $this->room->placesByUnit($id)[$id] ?? [], 'lit_unit' => $id]);
    }

    #[Route('/stores/places/{address}', name: 'place', methods: ['GET'])]
    public function placePage(string $address): Response
    {
        return $this->showPlace($this->frame->address($address), null);
    }

    #[Route('/stores/places/{address}', name: 'describe_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describePlace(Request $request, string $address, FindIndex $index, LabelQueue $labels): Response
    {
        return $this->write($request, function (Input $input) use ($address, $index, $labels): Outcome {
            $place = $this->place($address);
            $scheme = (string) FilingScheme::parse(implode(',', array_filter([$input->text('scheme', 20), $input->text('scheme_then', 20)])));
            $kind = $input->text('says_kind', 20);
            $name = $input->text('name', 120);
            $maker = $input->text('says_maker', 120);
            $theme = $input->text('says_theme', 120);
            $colour = null === Family::tryFrom($input->text('says_colour', 20)) ? '' : $input->text('says_colour', 20);
            $season = null === Season::tryFrom($input->text('season', 10)) ? '' : $input->text('season', 10);
            $sides = array_map(static fn (string $field): ?int => $input->length($field, 5000)?->ticks, ['inner_width', 'inner_height', 'inner_depth']);
            $grams = $input->grams('most_grams', 500_000);
            $grow = '' === $input->text('room_to_grow', 2) ? 20 : $input->whole('room_to_grow', 0, 90);
            $uses = '' === $input->text('file_after_uses', 2) ? null : $input->whole('file_after_uses', 1, 99);
            $input->check();
            $isRenamed = $name !== $place->name;
            $place->name = $name;
            $place->scheme = $scheme;
            $place->saysKind = Kind::tryFrom($kind);
            $place->saysMaker = $maker;
            $place->saysTheme = $theme;
            [$place->saysColour, $place->season, $place->mostGrams, $place->roomToGrow, $place->fileAfterUses] = [$colour, $season, $grams, $grow, $uses];
            [$place->innerWidth, $place->innerHeight, $place->innerDepth] = $sides;
            $place->isChildSafe = $input->isTicked('is_child_safe');
            $place->alsoKinds = array_values(array_unique(array_filter($input->list('also_kinds'), static fn (string $also): bool => null !== Kind::tryFrom($also) && $also !== $kind)));
            $index->place($place);
            if ($isRenamed) {
                $labels->wishForPlace($place, 'renamed');
            }

            return Outcome::undoable($this->urlOf($place), 'Written down.');
        }, fn (Problem $problem): Response => $this->showPlace($address, $problem));
    }

    #[Route('/stores/places/{address}/things', name: 'take_in', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function takeIn(Request $request, string $address, TakeIn $takeIn, WarnOfReach $warn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($address, $takeIn, $warn): Outcome {
            $text = $input->text('things', 40000, true);
            $input->check();
            $place = $this->place($address);
            $items = $takeIn($step, $place, PastedThing::lines($text, $place->rule(), $this->frame->quantities(), $this->frame->colours()));
            $said = Counted::sentence(array_map(static fn (Item $item): string => $item->name, $items), \sprintf('in %s now.', $place->address));

            return Outcome::undoable($this->urlOf($place).($input->isTicked('quick') ? '?quick=1' : ''), trim($said.' '.$warn->ofHomes($items)));
        }, fn (Problem $problem): Response => $this->showPlace($address, $problem));
    }

    /** Shows what pasted lines would become, before anything is written. */
    #[Route('/stores/places/{address}/preview', name: 'preview', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function preview(Request $request, string $address, LikelyDoubles $doubles): Response
    {
        $input = $this->input($request);
        try {
            $text = $input->text('things', 40000, true);
            $input->check();
            $things = PastedThing::lines($text, $this->place($address)->rule(), $this->frame->quantities(), $this->frame->colours());
        } catch (InvalidInput|InvalidPaste $wrong) {
            $response = $this->showPlace($address, Problem::from($wrong, $request, $this->frame->quantities()));
            $response->setStatusCode(422);

            return $response;
        }
        $response = $this->showPlace($address, null, ['text' => $text, 'things' => $things, 'doubles' => $doubles->of($things)]);
        $response->headers->set('HX-Push-Url', 'false');

        return $response;
    }

    #[Route('/stores/places/{address}/several', name: 'change_several', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function several(Request $request, string $address, DescribeItem $describe, KeepHomes $homes, WarnOfReach $warn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($address, $describe, $homes, $warn): Outcome {
            $this->place($address);
            $items = array_map(fn (string $id): Item => $this->item((int) $id), array_values(array_unique(\array_slice($input->list('items'), 0, 400))));
            if ([] === $items) {
                throw StepRefused::nothingChosen();
            }
            $given = static fn (string $field, int $most): ?string => '' === $input->text($field, $most) ? null : $input->text($field, $most);
            $change = new BulkChange($given('maker', 120), $given('theme', 60), Kind::tryFrom($input->text('kind', 20)), $given('collection', 120), Season::tryFrom($input->text('season', 10))?->value);
            $to = $this->storage($input, 'to');
            $input->check();
            if (null === $to && $change->isNothing()) {
                throw StepRefused::nothingToChange();
            }
            $describe->several($items, $change);
            if (null !== $to) {
                array_walk($items, static fn (Item $item) => $homes->giveHome($step, $item, $to));
            }
            $names = array_map(static fn (Item $item): string => $item->name, $items);
            $said = Counted::sentence($names, null === $to ? 'changed.' : 'changed, and at home in '.$to->address.' now.');

            return Outcome::undoable($this->generateUrl('place', ['address' => $address]), trim($said.' '.(null === $to ? '' : $warn->ofHomes($items))));
        }, fn (Problem $problem): Response => $this->showPlace($address, $problem));
    }

    #[Route('/stores/places/{address}/inner', name: 'divide_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function divide(Request $request, string $address, BuildUnit $build): Response
    {
        return $this->write($request, function (Input $input) use ($address, $build): Outcome {
            $label = $input->text('label', 4, true);
            $kind = $input->text('kind', 20, true);
            $name = $input->text('inner_name', 120);
            $layer = $input->whole('layer', 0, 9);
            if (!preg_match('/^[a-z0-9]{1,4}$/iD', $label)) {
                $input->refuse('label', 'One to four letters or digits, such as b.');
            }
            $input->check();
            $inner = $build->divide($this->place($address), $label, $kind, $name, $layer);

            return Outcome::undoable($this->generateUrl('place', ['address' => $address]), \sprintf('%s is inside %s.', $inner->address, $address));
        }, fn (Problem $problem): Response => $this->showPlace($address, $problem));
    }

    /** @param array{text: string, things: list<PastedThing>, doubles: array<int, list<array<string, mixed>>>}|null $preview */
    private function showPlace(string $address, ?Problem $problem, ?array $preview = null): Response
    {
        $place = $this->stores->place($address);
        if (null === $place || null === $place['unit_id'] || null !== $place['retired_at']) {
            throw Unknown::place($address);
        }
        $id = (int) $place['id'];
        $contents = $this->stores->contents($id, (string) $place['scheme']);
        $out = $this->stores->outOf($id);

        return $this->render('catalogue/place.html.twig', [
            'place' => $place,
            'scheme' => FilingScheme::parse((string) $place['scheme']),
            'contents' => $contents,
            'strip' => $this->stores->withGaps($contents, $out, (string) $place['scheme']),
            'out' => $out,
            'inner' => $this->stores->inner($id),
            'facts' => $this->homes->facts($place, $contents),
            'preview' => $preview,
            'families' => Family::cases(),
            'seasons' => Season::cases(),
            'log' => $this->log->lines(new LogFilter(place: $id), 8),
            'lit' => $this->room->lit([$id]),
            'kits' => $this->choosableKits(),
            'kinds' => Kind::cases(),
            'sorts' => SortBy::cases(),
            'problem' => $problem,
        ]);
    }

    /** @return list<KitRow> */
    private function choosableKits(): array
    {
        return [...$this->kits->all('open'), ...$this->kits->all('planned')];
    }

    private function urlOf(Place $place): string
    {
        return $this->generateUrl('place', ['address' => $place->address]);
    }
}
