<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Stores\RoomReading;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\DesignThing;
use Lottel\Core\Design\DesignWords;
use Lottel\Core\Design\FoamSquares;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\ListedPiece;
use Lottel\Core\Design\PageGrid;
use Lottel\Core\Design\PassedOver;
use Lottel\Core\Design\StartingLayout;
use Lottel\Core\Design\ThingRole;
use Lottel\Core\Kit\Makes;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The board of a kit: its design as a whole, and what it takes besides paper. */
final class DesignController extends Page
{
    private const USUAL_NUMBER = 8;

    public function __construct(
        private readonly KitReading $reading,
        private readonly Kits $kits,
        private readonly Items $items,
        private readonly BoardReading $board,
        private readonly DesignInput $parts,
        private readonly RoomReading $room,
        private readonly StartingPoints $starts,
        private readonly ProposeThings $propose,
        private readonly DiesForDesign $dies,
    ) {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design', name: 'design', methods: ['GET'])]
    public function page(Request $request, int $id, ?Problem $problem = null): Response
    {
        $row = $this->reading->one($id);
        $board = $this->board->of($this->kits->one($id));
        if (null === $board) {
            return $this->render('kits/design/start.html.twig', [
                'kit' => $row,
                'many' => $many = Makes::read($row->makes)->pieces ?? self::USUAL_NUMBER,
                'starts' => $row->isClosed() ? [] : $this->starts->owned($many),
                'enough' => $row->isClosed() ? [] : $this->starts->enoughSheets($many),
                'patterns' => $this->starts->patterns(),
                'problem' => $problem,
            ]);
        }

        $cutBy = $this->dies->of($board);

        return $this->render('kits/design/board.html.twig', [
            'kit' => $row,
            'cut_by' => $cutBy,
            'board' => $board,
            'grid' => PageGrid::step($this->measures->measure()),
            'proposed' => $row->isClosed() ? [] : $this->propose->for($row, $board, $cutBy),
            'open' => $request->query->getString('open'),
            'lit' => $this->lit($board),
            'version' => $this->reading->version($id),
            'problem' => $problem,
        ]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/new', name: 'begin_design', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function begin(Request $request, int $id, BeginDesign $begin): Response
    {
        return $this->write($request, function (Input $input) use ($id, $begin): Outcome {
            $kit = $this->kits->one($id);
            [$design, $said] = $input->isEmpty('words') ? [$this->chosen($input), ''] : $this->worded($input);
            $input->check();
            if (null === Makes::read($kit->makes)->pieces) {
                $kit->sayWhatItMakes($input->isEmpty('words') ? \sprintf('%d × %s', $design->quantity, $design->form->one()) : $input->text('words', 200));
            }
            $begin($kit, $input->isEmpty('from') ? $design : $this->starts->from($design, $this->items->one($input->id('from'))));

            return $this->done($id, trim('The design is begun. '.$said));
        }, fn (Problem $problem): Response => $this->page($request, $id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design', name: 'change_design', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function change(Request $request, int $id, ChangeDesign $change): Response
    {
        return $this->write($request, function (Input $input) use ($id, $change): Outcome {
            $change($this->kits->one($id), $this->parts->seen($input), function (Design $design) use ($input): Design {
                $changed = $this->parts->whole($input, $design);
                $input->check();

                return $changed;
            });

            return $this->done($id, 'The design is changed.', 'base');
        }, fn (Problem $problem): Response => $this->page($request, $id, $problem));
    }

    /** Something beside the papers: taken, or not taken any more; an envelope takes the place of another one. */
    #[Route('/kits/{id<[0-9]{1,12}>}/design/things', name: 'design_thing', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function thing(Request $request, int $id, ChangeDesign $change): Response
    {
        return $this->write($request, function (Input $input) use ($id, $change): Outcome {
            $item = $this->items->one($this->parts->item($input));
            $role = $input->choice('role', ThingRole::class);
            $isOff = $input->isTicked('off');
            $input->check();
            $change($this->kits->one($id), $this->parts->seen($input), static function (Design $design) use ($item, $role, $isOff): Design {
                $each = match (true) {
                    ThingRole::Envelope === $role => 1,
                    ThingRole::Foam === $role => max(1, FoamSquares::onCard($design)),
                    default => $item->kind->lasts() || $item->tracking->movesWhole() ? 0 : 1,
                };

                return $isOff ? $design->notTaking((int) $item->id) : $design->taking(new DesignThing((int) $item->id, $role, $each));
            });

            return $this->done($id, \sprintf($isOff ? '%s is not taken.' : '%s is taken for it.', $item->name));
        }, fn (Problem $problem): Response => $this->page($request, $id, $problem));
    }

    private function chosen(Input $input): Design
    {
        $form = $input->choice('form', Form::class);
        $quantity = $input->whole('quantity', 1, Design::MOST);
        $named = $input->isEmpty('named') ? null : $input->choice('named', CardSize::class);
        $finished = match (true) {
            $form->isListed() => CardSize::usualIn($this->measures->measure())[0]->sides(),
            null !== $named && $input->isEmpty('size') => $input->isTicked('lying') ? $named->sides()->turned() : $named->sides(),
            default => $this->parts->sides($input, 'size'),
        };
        $fold = $form->isFolded() && $input->has('fold') ? $input->choice('fold', Fold::class) : Fold::None;
        $design = new Design($form, $quantity, $finished, $fold, $form->isListed() ? null : $this->parts->paper($input));
        if (Form::Pockets === $form) {
            return $design->with(['listed' => ListedPiece::usualPockets(), 'next' => \count(ListedPiece::usualPockets()) + 1]);
        }
        $layout = $input->isEmpty('layout') ? null : $input->choice('layout', StartingLayout::class);
        if (null === $layout) {
            return $design;
        }
        if ($layout->form()->pages() !== $form->pages() || !$form->hasBlocks()) {
            $input->refuse('layout', 'This layout is for '.$layout->form()->one().'s.');

            return $design;
        }
        $blocks = $layout->blocks($finished, PageGrid::step($this->measures->measure()));

        return $design->with(['blocks' => $blocks, 'next' => \count($blocks) + 1]);
    }

    /** @return array{Design, string} */
    private function worded(Input $input): array
    {
        $words = $input->text('words', 200);
        $read = DesignWords::read($words, $this->measures->measure());
        if (null === $read) {
            $such = [$this->measures->usual()->exampleOfCards(), $this->measures->usual()->exampleOfLayout()];
            $input->refuse('words', \sprintf('Say how many of what, and how large: “%s” or “%s”.', ...$such));
            $input->check();
            throw new \LogicException('It was refused.');
        }

        $said = PassedOver::told('Not understood', PassedOver::in($words, $this->measures->measure(), true));

        return [$read->design, trim($read->sentence().' '.$said)];
    }

    private function done(int $id, string $said, string $open = ''): Outcome
    {
        return Outcome::undoable($this->generateUrl('design', ['id' => $id] + ('' === $open ? [] : ['open' => $open])), $said);
    }

    /** @return array<int, string> where its papers and things are */
    private function lit(Board $board): array
    {
        $places = array_map(static fn (ThingOnBoard $thing): ?int => $thing->need->thing->homeId, $board->things);
        foreach ($board->table->sheets as $row) {
            $places[] = $row->item->home?->id;
        }

        return $this->room->lit($places);
    }
}
