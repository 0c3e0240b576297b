<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Design\Block;
use Lottel\Core\Design\BlockKind;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\EqualGutters;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\ListedPiece;
use Lottel\Core\Design\PageGrid;
use Lottel\Core\Design\PageTurn;
use Lottel\Core\Design\Sides;
use Lottel\Core\Design\StartingLayout;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The parts of a design: layers, blocks, listed pieces. */
final class PartController extends Page
{
    private const BOARD = DesignController::class.'::page';
    private const MOST_TICKS = 100_000_000;

    public function __construct(
        private readonly Kits $kits,
        private readonly Designs $designs,
        private readonly ChangeDesign $change,
        private readonly DesignInput $parts,
        private readonly BoardReading $board,
    ) {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/parts', name: 'add_part', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function add(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $design = ($this->change)($this->kits->one($id), $this->parts->seen($input), fn (Design $design): Design => $this->added($input, $design));
            $last = $design->next - 1;

            return $this->done($id, 'It lies on the board.', match (true) {
                $design->form->hasLayers() => 'L'.$last,
                $design->form->hasBlocks() => 'B'.$last,
                default => '',
            });
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/parts/{part<[LBP][0-9]{1,6}>}', name: 'change_part', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function change(Request $request, int $id, string $part): Response
    {
        return $this->write($request, function (Input $input) use ($id, $part): Outcome {
            $number = (int) substr($part, 1);
            $do = $input->text('do', 10);
            $said = match ($do) {
                'remove' => 'It is taken off the board.',
                'up', 'down' => 'The layers are in another order.',
                default => 'Changed.',
            };
            ($this->change)($this->kits->one($id), $this->parts->seen($input), fn (Design $design): Design => match ($do) {
                'remove' => $design->without($number),
                'up' => $design->raised($number, 1),
                'down' => $design->raised($number, -1),
                default => $this->changed($input, $design, $part[0], $number),
            });

            return $this->done($id, $said, 'remove' === $do ? '' : $part);
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    /** The drawing as it is written. */
    #[Route('/kits/{id<[0-9]{1,12}>}/design/drawing', name: 'design_drawing', methods: ['GET'])]
    public function drawing(int $id): Response
    {
        $kit = $this->kits->one($id);

        return $this->drawn($this->board->with($kit, $row = $this->designs->one($kit), $row->design()), false);
    }

    /** The drawing as it would be with what is typed; nothing is written, and what cannot be leaves it as it is. */
    #[Route('/kits/{id<[0-9]{1,12}>}/design/preview/{part<(?:[LB][0-9]{1,6}|base|new)>}', name: 'preview_part', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function preview(Request $request, int $id, string $part): Response
    {
        $input = $this->input($request);
        $kit = $this->kits->one($id);
        $row = $this->designs->one($kit);
        try {
            $design = match ($part) {
                'base' => $this->parts->whole($input, $row->design()),
                'new' => $this->added($input, $row->design()),
                default => $this->changed($input, $row->design(), $part[0], (int) substr($part, 1)),
            };
            $input->check();
            $board = $this->board->with($kit, $row, $design->checked());
        } catch (InvalidDesign|InvalidInput) {
            return new Response(status: Response::HTTP_NO_CONTENT);
        }

        return $this->drawn($board, true);
    }

    private function drawn(Board $board, bool $isPreview): Response
    {
        return $this->render('kits/design/_drawing.html.twig', [
            'board' => $board,
            'grid' => PageGrid::step($this->measures->measure()),
            'is_preview' => $isPreview,
        ]);
    }

    /** A block is pushed over the page: by keys or by hand, on the grid, and no further than the edge. */
    #[Route('/kits/{id<[0-9]{1,12}>}/design/move', name: 'move_block', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function move(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $right = $input->whole('right', -self::MOST_TICKS, self::MOST_TICKS);
            $down = $input->whole('down', -self::MOST_TICKS, self::MOST_TICKS);
            $number = $input->whole('block', 1, self::MOST_TICKS);
            $input->check();
            $grid = PageGrid::step($this->measures->measure());
            $design = ($this->change)(
                $this->kits->one($id),
                $this->parts->seen($input),
                static fn (Design $design): Design => $design->putting($design->block($number)->pushed($right, $down, $grid, $design->ground())),
            );

            return $this->done($id, \sprintf('%s is moved.', ucfirst($design->block($number)->name)), 'B'.$number);
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/layout', name: 'lay_out', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function layOut(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $do = $input->text('do', 10, true);
            $gutter = 'gutters' === $do ? $input->lengthFromZero('gutter')->ticks ?? 0 : 0;
            $layout = 'begin' === $do ? $input->choice('layout', StartingLayout::class) : null;
            $paper = 'mats' === $do ? $this->parts->required($input) : null;
            $input->check();
            ($this->change)($this->kits->one($id), $this->parts->seen($input), fn (Design $design): Design => match (true) {
                null !== $paper => $design->matted($paper),
                null !== $layout => $this->begun($design, $layout),
                'gutters' === $do => (new EqualGutters($gutter, PageGrid::MARGIN))->on($design),
                'mirror' === $do => PageTurn::mirrored($design),
                'flip' === $do => PageTurn::flipped($design),
                default => PageTurn::turned($design),
            });

            return $this->done($id, match ($do) {
                'begin' => 'Laid out anew.',
                'mats' => 'All mats are of that paper.',
                'gutters' => 'The gutters are equal.',
                'mirror', 'flip' => 'Mirrored.',
                default => 'Turned.',
            });
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    private function begun(Design $design, StartingLayout $layout): Design
    {
        if ($layout->form()->pages() !== $design->form->pages()) {
            throw InvalidDesign::isForOthers($layout->form());
        }
        $next = $design->next;
        $blocks = array_map(
            static fn (Block $block): Block => $block->with(['id' => $next + $block->id]),
            $layout->blocks($design->finished, PageGrid::step($this->measures->measure())),
        );

        return $design->with(['blocks' => $blocks, 'next' => $next + \count($blocks) + 1]);
    }

    private function added(Input $input, Design $design): Design
    {
        if ($design->form->isListed()) {
            foreach (AskedPiece::lines($input->text('pieces', 4000), $this->measures->measure()) as $line) {
                $paper = $this->parts->named($input, $line->paper);
                $design = $design->and(new ListedPiece(0, $line->name, Sides::of($line->size), $line->quantity, $line->creases, $paper));
            }
            $input->check();

            return $design;
        }
        $part = $design->form->hasLayers()
            ? $this->parts->layer($input, $input->choice('kind', LayerKind::class), 0, null)
            : $this->parts->block($input, $input->choice('kind', BlockKind::class), 0, null, $design);
        $input->check();

        return $design->and($part);
    }

    private function changed(Input $input, Design $design, string $sort, int $number): Design
    {
        $part = match ($sort) {
            'L' => $this->parts->layer($input, $design->layer($number)->kind, $number, $design->layer($number)),
            'B' => $this->parts->block($input, $design->block($number)->kind, $number, $design->block($number), $design),
            default => $this->parts->listed($input, $number, $design->listedPiece($number)),
        };
        $input->check();

        return $design->putting($part);
    }

    private function again(int $id, Problem $problem): Response
    {
        return $this->forward(self::BOARD, ['id' => $id, 'problem' => $problem]);
    }

    private function done(int $id, string $said, string $open = ''): Outcome
    {
        return Outcome::undoable($this->generateUrl('design', ['id' => $id] + ('' === $open ? [] : ['open' => $open])), $said);
    }
}
