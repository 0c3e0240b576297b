<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Log\LifeReading;
use App\Room\Log\LogFilter;
use App\Room\Log\LogReading;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindFields;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Retracking;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Picture\StandIn;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Items: their records, photos, companions and homes. */
final class ItemController extends Page
{
    private const CHOICES = 8;
    private const LINES_OF_LOG = 8;
    private const LINES_OF_LOG_ALONE = 20;

    public function __construct(
        private readonly RoomReading $room,
        private readonly Places $places,
        private readonly Items $items,
        private readonly ItemReading $reading,
        private readonly ContentsReading $contents,
        private readonly LogReading $log,
        private readonly KeepPhoto $photos,
        private readonly PlacePhotoReading $placePhotos,
        private readonly WarnOfReach $warn,
        private readonly LifeReading $life,
        private readonly LifeShelf $shelf,
    ) {
    }

    #[Route('/items/{id<[0-9]{1,12}>}', name: 'item', methods: ['GET'])]
    public function itemPage(Request $request, int $id, ?Problem $problem = null): Response
    {
        return $this->showItem($id, $problem, trim($request->query->getString('with')));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/edit', name: 'edit_item', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function editItem(int $id): Response
    {
        return $this->showEdit($id, null);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/edit', name: 'describe_item', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describeItem(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $item = $this->items->one($id);
            $tracking = $input->choice('tracking', Tracking::class);
            $describe($item, ItemForm::record($input, $item->sheet->sheet()), $tracking);

            return Outcome::undoable($this->itemUrl($item), 'Written down.');
        }, fn (Problem $problem): Response => $this->showEdit($id, $problem));
    }

    /** Changes one word of the record, where it stands on the page. */
    #[Route('/items/{id<[0-9]{1,12}>}/word', name: 'change_word', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function changeWord(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $item = $this->items->one($id);
            $describe($item, ItemForm::word($input, $item->record()), $item->tracking);

            return Outcome::undoable($input->has('from') ? $this->cameFrom($input) : $this->itemUrl($item), 'Written down.');
        }, fn (Problem $problem): Response => $request->request->has('from') ? $this->showAgain($request, $problem) : $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/companions', name: 'add_companion', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function companion(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $item = $this->items->one($id);
            $other = $this->items->one($input->id('other'));
            if ($other === $item) {
                throw CatalogueRefused::itsOwnCompanion($item->name);
            }
            $describe->belongTogether($item, $other, $input->isTicked('is_together'));

            return Outcome::undoable($this->itemUrl($item), \sprintf('%s and %s belong together.', $item->name, $other->name));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/companions/part', name: 'part_companions', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function part(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            [$item, $other] = [$this->items->one($id), $this->items->one($input->id('other'))];
            $describe->part($item, $other);

            return Outcome::undoable($this->itemUrl($item), \sprintf('%s and %s need not be together.', $item->name, $other->name));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/home', name: 'give_home', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function giveHome(Request $request, int $id, KeepHomes $homes): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($id, $homes): Outcome {
                $item = $this->items->one($id);
                $home = $this->places->required($input, 'address');
                $homes->giveHome($step, $item, $home);

                return Outcome::undoable(
                    $this->itemUrl($item),
                    trim(\sprintf('%s is at home in %s now. %s', $item->name, $home->address, $this->warn->ofHome($item) ?? '')),
                );
            },
            fn (Problem $problem): Response => $this->showItem($id, $problem),
        );
    }

    #[Route('/items/{id<[0-9]{1,12}>}/found', name: 'found_again', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function found(Request $request, int $id, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $homes): Outcome {
            $item = $this->items->one($id);
            $place = '' === $input->text('address', 24) ? $homes->homeOrHeap($item) : $this->places->required($input, 'address');
            $homes->foundAgain($step, $item, $place);

            return Outcome::undoable($this->itemUrl($item), \sprintf('Good: %s is in %s again.', $item->name, $place->address));
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/stock', name: 'stock', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function stock(Request $request, int $id, TakeIn $takeIn): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($id, $takeIn): Outcome {
                $item = $this->items->one($id);
                $quantity = $input->quantity('quantity', $item->tracking);
                $place = $this->places->required($input, 'address');
                $from = $input->choice('from', Outside::class);
                if (!\in_array($from, Outside::sources(), true)) {
                    $input->refuse('from', 'Choose one of the list.');
                }
                $input->check();
                $takeIn->stock($step, $item, $place, $quantity, $from);

                return Outcome::undoable(
                    $this->itemUrl($item),
                    \sprintf('%s more of %s in %s.', $this->quantityInWords($quantity, $item->tracking), $item->name, $place->address),
                );
            },
            fn (Problem $problem): Response => $this->showItem($id, $problem),
        );
    }

    #[Route('/items/{id<[0-9]{1,12}>}/duplicate', name: 'duplicate_item', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function duplicate(Request $request, int $id, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($id, $describe): Outcome {
            $twin = $describe->duplicate($this->items->one($id));

            return Outcome::undoable($this->generateUrl('edit_item', ['id' => $twin->id]), 'This is the copy. Change what is different about it.');
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/counted', name: 'count_thing', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function counted(Request $request, int $id, CountThing $count): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($id, $count): Outcome {
                $item = $this->items->one($id);
                $counted = 1 === preg_match('/^\s*(0|none|empty)\s*$/iD', $input->text('quantity', 40)) ? 0 : $input->quantity('quantity', $item->tracking);
                $place = $this->places->store($input->text('place', 24));
                $why = $input->text('why', 200);
                $input->check();
                $difference = $count($step, $item, $place, $counted, $why);
                $size = $this->quantityInWords(abs($difference), $item->tracking);

                return Outcome::undoable(
                    $this->itemUrl($item),
                    match (true) {
                        0 === $difference => \sprintf('%s in %s agrees with the log.', $item->name, $place->address),
                        0 === $counted => \sprintf('%s: none left in %s, as counted.', $item->name, $place->address),
                        default => \sprintf(
                            '%s in %s: %s as counted, %s %s than the log believed.',
                            $item->name,
                            $place->address,
                            $this->quantityInWords($counted, $item->tracking),
                            $size,
                            $difference > 0 ? 'more' : 'less',
                        ),
                    },
                );
            },
            fn (Problem $problem): Response => $this->showItem($id, $problem),
        );
    }

    #[Route('/items/{id<[0-9]{1,12}>}/tracking', name: 'count_otherwise', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function countOtherwise(Request $request, int $id, CountOtherwise $count): Response
    {
        return $this->write(
            $request,
            function (Input $input) use ($id, $count): Outcome {
                $item = $this->items->one($id);
                $tracking = $input->choice('tracking', Tracking::class);
                $was = $input->quantity('was', $item->tracking);
                $becomes = $input->quantity('becomes', $tracking);
                $input->check();
                $count($item, Retracking::of($item->tracking, $tracking, $was, $becomes));

                return Outcome::final(
                    $this->itemUrl($item),
                    \sprintf('%s is counted in another way from now on. The log keeps its lines as they were.', $item->name),
                );
            },
            fn (Problem $problem): Response => $this->showEdit($id, $problem),
        );
    }

    #[Route('/items/{id<[0-9]{1,12}>}/delete', name: 'delete_item', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function delete(Request $request, int $id, DeleteItem $delete): Response
    {
        return $this->write(
            $request,
            function (Input $input) use ($id, $delete): Outcome {
                $item = $this->items->one($id);
                $home = $item->home;
                $delete($item);

                return Outcome::undoable(
                    true === $home?->isStorageInUse() ? $this->generateUrl('place', ['address' => $home->address]) : $this->generateUrl('stores'),
                    \sprintf('%s is out of the catalogue.', $item->name),
                );
            },
            fn (Problem $problem): Response => $this->showItem($id, $problem),
        );
    }

    #[Route('/items/{id<[0-9]{1,12}>}/photo', name: 'keep_photo', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function keepPhoto(Request $request, int $id): Response
    {
        $new = $old = null;
        $response = $this->write($request, function (Input $input) use ($id, &$new, &$old): Outcome {
            $item = $this->items->one($id);
            $old = $item->photo;
            $item->showAs($new);

            return Outcome::final($this->itemUrl($item), 'The photo is kept. Where it was taken is not.');
        }, fn (Problem $problem): Response => $this->showItem($id, $problem), function (Input $input) use (&$new): void {
            $new = $this->photos->keep($input->file('photo') ?? throw InvalidPhoto::didNotArrive());
        });
        $this->photos->settle($new, $old, $response->isRedirect() ? $this->reading->item($id)->photo : null);

        return $response;
    }

    #[Route('/items/{id<[0-9]{1,12}>}/photo', name: 'photo', methods: ['GET'])]
    public function photo(int $id): Response
    {
        $photo = $this->items->one($id)->photo;
        $path = null === $photo ? '' : $this->photos->path($photo);
        if (!is_file($path)) {
            throw $this->createNotFoundException('There is no photo of it.');
        }

        return new BinaryFileResponse($path, 200, ['Content-Type' => 'image/jpeg']);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/colour', name: 'take_colour', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function takeColour(Request $request, int $id, ItemIndex $index): Response
    {
        return $this->write($request, function (Input $input) use ($id, $index): Outcome {
            $item = $this->items->one($id);
            $colour = $input->colour('colour');
            $input->check();
            $item->describe($item->record()->coloured($colour));
            $index->item($item);

            return Outcome::undoable($this->itemUrl($item), 'That is its colour now.');
        }, fn (Problem $problem): Response => $this->showItem($id, $problem));
    }

    private function showItem(int $id, ?Problem $problem, string $companion = ''): Response
    {
        $item = $this->reading->item($id);
        if (null !== $item->removedAt) {
            $log = $this->log->lines(new LogFilter(item: $id), self::LINES_OF_LOG_ALONE);

            return $this->render('room/catalogue/removed_item.html.twig', ['item' => $item, 'log' => $log, 'problem' => $problem]);
        }

        $life = $this->life->of($id);

        return $this->render('room/catalogue/item.html.twig', [
            'item' => $item,
            'where' => $this->reading->whereabouts($id),
            'has_moved' => $this->reading->hasMoved($id),
            'warning' => $this->warn->ofHome($this->items->one($id)),
            'companions' => $this->reading->companions($id),
            'kits_of' => $this->reading->kitsOf($id),
            'log' => $this->log->lines(new LogFilter(item: $id), self::LINES_OF_LOG),
            'sources' => Outside::sources(),
            'lit' => $this->room->lit([$item->homeId]),
            'palette' => null === $item->photo ? [] : $this->photos->palette($item->photo),
            'fields' => KindFields::of($item->record->kind, $this->measures->measure()),
            'stand_in' => StandIn::of($this->reading->thing($id), $item->drawnBox()),
            'strip' => $this->stripAtHome($item),
            'seen' => $this->placePhotos->ofItems([$id]),
            'scraps' => $item->record->kind->isCut() ? $this->reading->scrapsOf($id) : [],
            'cut_from' => $item->record->kind->isCut() ? $this->reading->parentOf($id) : null,
            'life' => $this->shelf->drawn($life),
            'earlier' => LifeShelf::earlier(\count($life)),
            'cares' => $this->caresAtReturn($id),
            'companion_search' => $companion,
            'companion_choices' => '' === $companion ? null : $this->reading->like($companion, $id, self::CHOICES),
            'words' => array_combine(array_column(RecordWord::cases(), 'value'), RecordWord::cases()),
            'problem' => $problem,
        ]);
    }

    /** @return list<CareRow> */
    private function caresAtReturn(int $id): array
    {
        return CareRow::onReturn($this->reading->lines([$id]), [], $this->me()->isChild);
    }

    private function stripAtHome(ItemRow $item): ?Strip
    {
        return null === $item->homeId || null === $item->homeScheme
            ? null
            : $this->contents->around($item->homeId, $this->reading->thing($item->id), $item->homeScheme);
    }

    private function showEdit(int $id, ?Problem $problem): Response
    {
        $item = $this->reading->inCatalogue($id);

        return $this->render('room/catalogue/edit_item.html.twig', [
            'item' => $item,
            'fields' => KindFields::of($item->record->kind, $this->measures->measure()),
            'seasons' => Season::cases(),
            'kinds' => Kind::cases(),
            'trackings' => Tracking::cases(),
            'hazards' => Hazard::cases(),
            'has_moved' => $this->reading->hasMoved($id),
            'problem' => $problem,
        ]);
    }

    private function itemUrl(Item $item): string
    {
        return $this->generateUrl('item', ['id' => $item->id]);
    }
}
