<?php

declare(strict_types=1);

namespace App\Controller;

use App\Entity\Item;
use App\Entity\Place;
use App\Reading\KitReading;
use App\Reading\LogFilter;
use App\Reading\LogReading;
use App\Reading\RoomReading;
use App\Reading\StoreReading;
use App\Service\Labels\LabelQueue;
use App\Service\Outcome;
use App\Service\Step;
use App\Service\Stores\DescribeItem;
use App\Service\Stores\InvalidPhoto;
use App\Service\Stores\KeepHomes;
use App\Service\Stores\KeepPhoto;
use App\Service\Stores\TakeIn;
use App\Service\Unknown;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Storage\Kind;
use Lottel\Core\Storage\KindFields;
use Lottel\Core\Storage\Season;
use Lottel\Core\Upkeep\Hazard;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Items: their records, photos, companions and homes. */
final class ItemController extends Page
{
    public function __construct(private readonly RoomReading $room, private readonly StoreReading $stores, private readonly LogReading $log, private readonly KitReading $kits, private readonly KeepPhoto $photos)
    {
    }

    #[Route('/items/{id<[0-9]{1,12}>}', name: 'item', methods: ['GET'])]
    public function itemPage(int $id, ?Problem $problem = null): Response
    {
        return $this->showItem($id, $problem);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/edit', name: 'edit_item', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function editItem(int $id): Response
    {
        return $this->showEdit($id, null);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/edit', name: 'describe_item', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describeItem(Request $request, int $id, DescribeItem $describe, LabelQueue $labels): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe, $labels): Outcome {
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
            $collection = $input->text('collection', 120);
            $season = '' === $input->text('season', 10) ? '' : $input->choice('season', Season::class)->value;
            $sides = array_map(static fn (string $field): ?int => $input->length($field, 2000)?->ticks, ['width', 'height', 'depth']);
            $grams = '' === $input->text('grams', 7) ? null : $input->whole('grams', 1, 200_000);
            $details = [];
            foreach (array_keys(KindFields::of($kind)) as $field) {
                $details[$field] = $input->text('detail_'.str_replace(' ', '_', $field), KindFields::MOST_CHARACTERS);
            }
            $input->check();
            $isRenamed = $name !== $item->name;
            [$item->name, $item->maker, $item->kind, $item->themes, $item->colour] = [$name, $maker, $kind, $themes, $colour];
            [$item->colourName, $item->sentiments, $item->note, $item->hazards] = [$colourName, $sentiments, $note, $hazards];
            [$item->collection, $item->season, $item->isMulticolour, $item->grams] = [$collection, $season, $input->isTicked('is_multicolour'), $grams];
            [$item->width, $item->height, $item->depth] = $sides;
            $item->details = array_filter($details, static fn (string $detail): bool => '' !== $detail);
            $describe($item, $tracking);
            if ($isRenamed) {
                $labels->wishForThing($item, 'renamed');
            }

            return Outcome::undoable($this->itemUrl($item), 'Written down.');
        }, fn (Problem $problem): Response => $this->showEdit($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/companions', name: 'add_companion', methods: ['POST'])]
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
            $describe->belongTogether($item, $other, $input->isTicked('is_together'));

            return Outcome::undoable($this->itemUrl($item), \sprintf('%s and %s belong together.', $item->name, $other->name));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/home', name: 'give_home', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function giveHome(Request $request, int $id, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $homes): Outcome {
            $item = $this->item($id);
            $home = $this->homeFrom($input);
            $homes->giveHome($step, $item, $home);

            return Outcome::undoable($this->itemUrl($item), \sprintf('%s lives in %s now.', $item->name, $home->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/found', name: 'found_again', methods: ['POST'])]
    public function found(Request $request, int $id, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $homes): Outcome {
            $item = $this->item($id);
            $place = '' === $input->text('address', 24) ? $homes->homeOrHeap($item) : $this->homeFrom($input);
            $homes->foundAgain($step, $item, $place);

            return Outcome::undoable($this->itemUrl($item), \sprintf('Good: %s is in %s again.', $item->name, $place->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/stock', name: 'stock', methods: ['POST'])]
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

            return Outcome::undoable($this->itemUrl($item), \sprintf('%s more of %s in %s.', $this->frame->quantities()->print($quantity, $item->tracking), $item->name, $place->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/duplicate', name: 'duplicate_item', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function duplicate(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $twin = $describe->duplicate($this->item($id));

            return Outcome::undoable($this->generateUrl('edit_item', ['id' => $twin->id]), 'This is the copy. Change what is different about it.');
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/photo', name: 'keep_photo', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function keepPhoto(Request $request, int $id): Response
    {
        $old = null;
        $response = $this->write($request, function (Input $input) use ($id, &$old): Outcome {
            $item = $this->item($id);
            $old = ($this->photos)($item, $input->file('photo') ?? throw InvalidPhoto::didNotArrive());

            return Outcome::undoable($this->itemUrl($item), 'The photo is kept. Where it was taken is not.');
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
        if (null !== $old && $response->isRedirect()) {
            $this->photos->throwAway($old);
        }

        return $response;
    }

    #[Route('/items/{id<[0-9]{1,12}>}/photo', name: 'photo', methods: ['GET'])]
    public function photo(int $id): Response
    {
        $photo = $this->item($id)->photo;
        $path = null === $photo ? '' : $this->photos->path($photo);
        if (!is_file($path)) {
            throw $this->createNotFoundException('There is no photo of it.');
        }

        return new BinaryFileResponse($path, 200, ['Content-Type' => 'image/jpeg']);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/colour', name: 'take_colour', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function takeColour(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $item = $this->item($id);
            $colour = $input->colour('colour');
            $input->check();
            $item->colour = $colour;

            return Outcome::undoable($this->itemUrl($item), 'That is its colour now.');
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
            'palette' => null === $item['photo'] ? [] : $this->photos->palette($this->item($id)),
            'fields' => KindFields::of(Kind::from((string) $item['kind'])),
            'problem' => $problem,
        ]);
    }

    private function showEdit(int $id, ?Problem $problem): Response
    {
        return $this->render('stores/edit_item.html.twig', [
            'item' => $item = $this->stores->item($id) ?? throw Unknown::item($id),
            'fields' => KindFields::of(Kind::from((string) $item['kind'])),
            'seasons' => Season::cases(),
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

    private function itemUrl(Item $item): string
    {
        return $this->generateUrl('item', ['id' => $item->id]);
    }
}
