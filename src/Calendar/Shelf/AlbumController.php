<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Kits\Kits\KitReading;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Albums and their pages. */
final class AlbumController extends Page
{
    public function __construct(
        private readonly Albums $albums,
        private readonly Items $items,
        private readonly KitReading $kits,
        private readonly ShelfReading $shelf,
    ) {
    }

    #[Route('/albums', name: 'albums', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        return $this->render('calendar/shelf/albums.html.twig', ['albums' => $this->albums->all(), 'problem' => $problem]);
    }

    #[Route('/albums', name: 'begin_album', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function begin(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('name', 120, true);
            $input->check();
            $album = $this->albums->begin($name);

            return $this->done($album, \sprintf('“%s” is begun. Put its pages in, and gaps for those to come.', $album->name));
        }, $this->index(...));
    }

    #[Route('/albums/{id<[0-9]{1,12}>}', name: 'album', methods: ['GET'])]
    public function album(int $id, ?Problem $problem = null): Response
    {
        return $this->render('calendar/shelf/album.html.twig', [
            'album' => $this->albums->one($id),
            'loose' => $this->shelf->loosePages(),
            'kits' => $this->kits->choosable(),
            'problem' => $problem,
        ]);
    }

    /** A page at the end: one that is finished, or a gap. */
    #[Route('/albums/{id<[0-9]{1,12}>}', name: 'add_album_page', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function add(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $album = $this->albums->one($id);
            if ($input->isTicked('remove')) {
                $album->remove($step->at);

                return Outcome::undoable($this->generateUrl('albums'), \sprintf('“%s” is kept no more; its pages stay where they are.', $album->name));
            }
            $title = $input->text('title', 120);
            $item = $input->isEmpty('item') ? null : $this->finished($input);
            if (null === $item && '' === $title) {
                $input->refuse('title', 'Say what the gap is for, or choose a finished page.');
            }
            $input->check();
            $page = $this->albums->add($album, $title);
            if (null !== $item) {
                $this->albums->fill($page, $item);
            }

            return $this->done($album, null === $item ? 'A gap is kept for it.' : \sprintf('%s is in the album.', $item->name));
        }, fn (Problem $problem): Response => $this->album($id, $problem));
    }

    #[Route('/albums/{id<[0-9]{1,12}>}/pages/{page<[0-9]{1,12}>}', name: 'album_page', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function change(Request $request, int $id, int $page): Response
    {
        return $this->write($request, function (Input $input) use ($id, $page): Outcome {
            $album = $this->albums->one($id);
            $one = $this->albums->page($album, $page);
            $said = match ($input->text('do', 10)) {
                'earlier' => $this->shifted($one, false),
                'later' => $this->shifted($one, true),
                'out' => $this->out($one),
                'gap' => $this->gap($one),
                default => $this->filled($input, $one),
            };
            $input->check();

            return $this->done($album, $said);
        }, fn (Problem $problem): Response => $this->album($id, $problem));
    }

    /** @throws Unknown if what was chosen is no finished piece */
    private function finished(Input $input): Item
    {
        return $this->items->one($this->shelf->one($input->id('item'))->thing->id);
    }

    private function shifted(AlbumPage $page, bool $isForward): string
    {
        $this->albums->shift($page, $isForward);

        return 'The pages are in another order.';
    }

    private function out(AlbumPage $page): string
    {
        $this->albums->takeOut($page);

        return 'That page is not in the album any more.';
    }

    private function gap(AlbumPage $page): string
    {
        $page->takeOut();

        return 'There is a gap again.';
    }

    private function filled(Input $input, AlbumPage $page): string
    {
        if ($input->isEmpty('item') && !$input->isEmpty('kit')) {
            $kit = $this->albums->openKit($input->id('kit'));
            $page->assignTo($kit);

            return \sprintf('%s makes that page.', $kit->name);
        }
        if ($input->isEmpty('item')) {
            $input->refuse('item', 'Which page fills the gap?');

            return '';
        }
        $item = $this->finished($input);
        $this->albums->fill($page, $item);

        return \sprintf('%s fills the gap.', $item->name);
    }

    private function done(Album $album, string $said): Outcome
    {
        return Outcome::undoable($this->generateUrl('album', ['id' => $album->id]), $said);
    }
}
