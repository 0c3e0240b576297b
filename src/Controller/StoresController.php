<?php

declare(strict_types=1);

namespace App\Controller;

use App\Entity\Item;
use App\Entity\Place;
use App\Entity\Room;
use App\Reading\KitReading;
use App\Reading\LogFilter;
use App\Reading\LogReading;
use App\Reading\RoomReading;
use App\Reading\StoreReading;
use App\Service\FindIndex;
use App\Service\Outcome;
use App\Service\Step;
use App\Service\Stores\BuildUnit;
use App\Service\Stores\DescribeItem;
use App\Service\Stores\KeepHomes;
use App\Service\Stores\TakeIn;
use App\Service\Unknown;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Storage\FilingScheme;
use Lottel\Core\Storage\Kind;
use Lottel\Core\Storage\PastedThing;
use Lottel\Core\Storage\SortBy;
use Lottel\Core\Storage\UnitTemplate;
use Lottel\Core\Upkeep\Hazard;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class StoresController extends Page
{
    public function __construct(private readonly RoomReading $room, private readonly StoreReading $stores, private readonly LogReading $log, private readonly KitReading $kits)
    {
    }

    #[Route('/stores', name: 'stores', methods: ['GET'])]
    public function index(): Response
    {
        return $this->render('stores/index.html.twig', ['units' => $this->room->units(), 'places' => $this->room->placesByUnit()]);
    }

    #[Route('/stores/new-unit', name: 'new_unit', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function newUnit(Request $request): Response
    {
        return $this->showNewUnit(null);
    }

    #[Route('/stores/new-unit', name: 'build_unit', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function build(Request $request, BuildUnit $build): Response
    {
        return $this->write($request, function (Input $input) use ($build): Outcome {
            $template = $input->choice('template', UnitTemplate::class);
            $letters = $input->text('letters', 3, true);
            if (!preg_match('/^[a-z]{1,3}$/iD', $letters)) {
                $input->refuse('letters', 'One to three letters, such as C.');
            }
            $name = $input->text('name', 120);
            $wall = $input->text('wall', 60);
            $rows = $input->whole('rows', 1, 40);
            $columns = $template->hasColumns() ? $input->whole('columns', 1, 20) : 1;
            $input->check();
            $room = $this->entities->getRepository(Room::class)->findOneBy([]) ?? throw Unknown::unit($letters);
            $places = $build($room, $template, strtoupper($letters), '' === $name ? $template->label() : $name, '' === $wall ? 'the room' : $wall, $rows, $columns);

            return new Outcome($this->urlOf($places[0]), \sprintf('%s stands in the room with %d places. Put things into its first one.', strtoupper($letters), \count($places)));
        }, $this->showNewUnit(...));
    }

    #[Route('/stores/units/{letters}', name: 'unit', methods: ['GET'])]
    public function unit(string $letters): Response
    {
        foreach ($this->room->units() as $id => $unit) {
            if (strtoupper($letters) === $unit['letters']) {
                return $this->render('stores/unit.html.twig', ['unit' => $unit, 'places' => $this->room->placesByUnit((int) $id)[(int) $id] ?? [], 'lit_unit' => (int) $id]);
            }
        }
        throw Unknown::unit($letters);
    }

    #[Route('/stores/places/{address}', name: 'place', methods: ['GET'])]
    public function placePage(string $address): Response
    {
        return $this->showPlace($this->frame->address($address), null);
    }

    #[Route('/stores/places/{address}', name: 'describe_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describePlace(Request $request, string $address, FindIndex $index): Response
    {
        return $this->write($request, function (Input $input) use ($address, $index): Outcome {
            $place = $this->place($address);
            $scheme = (string) FilingScheme::parse(implode(',', array_filter([$input->text('scheme', 20), $input->text('scheme_then', 20)])));
            $kind = $input->text('says_kind', 20);
            $name = $input->text('name', 120);
            $maker = $input->text('says_maker', 120);
            $theme = $input->text('says_theme', 120);
            $input->check();
            $place->name = $name;
            $place->scheme = $scheme;
            $place->saysKind = Kind::tryFrom($kind);
            $place->saysMaker = $maker;
            $place->saysTheme = $theme;
            $index->place($place);

            return new Outcome($this->urlOf($place), 'Written down.');
        }, fn (Problem $problem): Response => $this->showPlace($address, $problem));
    }

    #[Route('/stores/places/{address}/things', name: 'take_in', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function takeIn(Request $request, string $address, TakeIn $takeIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($address, $takeIn): Outcome {
            $text = $input->text('things', 40000, true);
            $input->check();
            $place = $this->place($address);
            $items = $takeIn($step, $place, PastedThing::lines($text));

            return new Outcome($this->urlOf($place), \sprintf('%s in %s now.', 1 === \count($items) ? $items[0]->name.' is' : \count($items).' things are', $place->address));
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

            return new Outcome($this->generateUrl('place', ['address' => $address]), \sprintf('%s is inside %s.', $inner->address, $address));
        }, fn (Problem $problem): Response => $this->showPlace($address, $problem));
    }

    #[Route('/items/{id<\d{1,12}>}', name: 'item', methods: ['GET'])]
    public function itemPage(int $id, ?Problem $problem = null): Response
    {
        return $this->showItem($id, $problem);
    }

    #[Route('/items/{id<\d{1,12}>}/edit', name: 'edit_item', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function editItem(int $id): Response
    {
        return $this->showEdit($id, null);
    }

    #[Route('/items/{id<\d{1,12}>}/edit', name: 'describe_item', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describeItem(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $item = $this->item($id);
            $hazards = array_values(array_filter($input->list('hazards'), static fn (string $hazard): bool => null !== Hazard::tryFrom($hazard)));
            $themes = array_values(array_unique(array_filter(array_map(trim(...), explode(',', $input->text('themes', 300))), static fn (string $theme): bool => '' !== $theme)));
            $name = $input->text('name', 200, true);
            $maker = $input->text('maker', 120);
            $kind = $input->choice('kind', Kind::class);
            $colour = $input->colour('colour');
            $colourName = $input->text('colour_name', 60);
            $sentiments = $input->text('sentiments', 4000);
            $note = $input->text('note', 4000);
            $tracking = $input->choice('tracking', Tracking::class);
            $input->check();
            [$item->name, $item->maker, $item->kind, $item->themes, $item->colour] = [$name, $maker, $kind, $themes, $colour];
            [$item->colourName, $item->sentiments, $item->note, $item->hazards] = [$colourName, $sentiments, $note, $hazards];
            $describe($item, $tracking);

            return new Outcome($this->itemUrl($item), 'Written down.');
        }, fn (Problem $problem): Response => $this->showEdit($id, $problem));
    }

    #[Route('/items/{id<\d{1,12}>}/companions', name: 'add_companion', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function companion(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $item = $this->item($id);
            $name = $input->text('companion', 200, true);
            $other = $this->entities->getRepository(Item::class)->findOneBy(['name' => $name]);
            if (null === $other || $other === $item) {
                $input->refuse('companion', 'No other item has exactly this name.');
            }
            $input->check();
            \assert(null !== $other);
            $describe->belongTogether($item, $other);

            return new Outcome($this->itemUrl($item), \sprintf('%s and %s belong together.', $item->name, $other->name));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<\d{1,12}>}/home', name: 'give_home', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function giveHome(Request $request, int $id, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $homes): Outcome {
            $item = $this->item($id);
            $home = $this->homeFrom($input);
            $homes->giveHome($step, $item, $home);

            return new Outcome($this->itemUrl($item), \sprintf('%s lives in %s now.', $item->name, $home->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<\d{1,12}>}/found', name: 'found_again', methods: ['POST'])]
    public function found(Request $request, int $id, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $homes): Outcome {
            $item = $this->item($id);
            $place = '' === $input->text('address', 24) ? $homes->homeOrHeap($item) : $this->homeFrom($input);
            $homes->foundAgain($step, $item, $place);

            return new Outcome($this->itemUrl($item), \sprintf('Good: %s is in %s again.', $item->name, $place->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<\d{1,12}>}/stock', name: 'stock', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function stock(Request $request, int $id, TakeIn $takeIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $takeIn): Outcome {
            $item = $this->item($id);
            $quantity = $input->quantity('quantity', $item->tracking);
            $place = $this->homeFrom($input);
            $from = $input->choice('from', Outside::class);
            if (!\in_array($from, Outside::sources(), true)) {
                $input->refuse('from', 'Choose one of the list.');
            }
            $input->check();
            $takeIn->stock($step, $item, $place, $quantity, $from);

            return new Outcome($this->itemUrl($item), \sprintf('%s more of %s in %s.', $this->frame->quantities()->print($quantity, $item->tracking), $item->name, $place->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    private function homeFrom(Input $input): Place
    {
        $place = $this->storage($input, 'address');
        if (null === $place) {
            $input->refuse('address', 'Type the address of its place, such as C3.');
        }
        $input->check();
        \assert(null !== $place);

        return $place;
    }

    private function showNewUnit(?Problem $problem): Response
    {
        $used = array_column($this->room->units(), 'letters');
        $free = array_values(array_diff(range('A', 'Z'), ['I', 'O'], $used))[0] ?? '';

        return $this->render('stores/new_unit.html.twig', ['templates' => UnitTemplate::cases(), 'letter' => $free, 'is_first' => [] === $used, 'problem' => $problem]);
    }

    private function showPlace(string $address, ?Problem $problem): Response
    {
        $place = $this->stores->place($address);
        if (null === $place || null === $place['unit_id']) {
            throw Unknown::place($address);
        }
        $id = (int) $place['id'];
        $contents = $this->stores->contents($id, (string) $place['scheme']);

        return $this->render('stores/place.html.twig', [
            'place' => $place,
            'scheme' => FilingScheme::parse((string) $place['scheme']),
            'contents' => $contents,
            'strip' => $this->stores->strip($contents, []),
            'out' => $this->stores->outOf($id),
            'inner' => $this->stores->inner($id),
            'log' => $this->log->lines(new LogFilter(place: $id), 8),
            'lit' => $this->room->lit([$id]),
            'kits' => $this->choosableKits(),
            'kinds' => Kind::cases(),
            'sorts' => SortBy::cases(),
            'problem' => $problem,
        ]);
    }

    private function showItem(int $id, ?Problem $problem): Response
    {
        $item = $this->stores->item($id) ?? throw Unknown::item($id);

        return $this->render('stores/item.html.twig', [
            'item' => $item,
            'where' => $this->stores->whereabouts($id),
            'position' => null === $item['home_id'] ? null : $this->stores->position($id, (int) $item['home_id'], (string) $item['home_scheme']),
            'companions' => $this->stores->companions($id),
            'kits_of' => $this->stores->kitsOf($id),
            'kits' => $this->choosableKits(),
            'log' => $this->log->lines(new LogFilter(item: $id), 8),
            'sources' => Outside::sources(),
            'lit' => $this->room->lit([$item['home_id']]),
            'problem' => $problem,
        ]);
    }

    private function showEdit(int $id, ?Problem $problem): Response
    {
        return $this->render('stores/edit_item.html.twig', [
            'item' => $this->stores->item($id) ?? throw Unknown::item($id),
            'kinds' => Kind::cases(),
            'trackings' => Tracking::cases(),
            'hazards' => Hazard::cases(),
            'problem' => $problem,
        ]);
    }

    /** @return list<array<string, mixed>> */
    private function choosableKits(): array
    {
        return [...$this->kits->all('open'), ...$this->kits->all('planned')];
    }

    private function urlOf(Place $place): string
    {
        return $this->generateUrl('place', ['address' => $place->address]);
    }

    private function itemUrl(Item $item): string
    {
        return $this->generateUrl('item', ['id' => $item->id]);
    }
}
