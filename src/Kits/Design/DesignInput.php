<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\NamedPapers;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use App\Room\Catalogue\Items;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Cutting\PaperWish;
use Lottel\Core\Design\Block;
use Lottel\Core\Design\BlockKind;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\ListedPiece;
use Lottel\Core\Design\Mat;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Design\Rect;
use Lottel\Core\Design\Sides;
use Lottel\Core\Measure\Length;

/** Reads the parts of a design out of forms. */
final readonly class DesignInput
{
    private const MOST_REVISION = 1_000_000_000;
    private const MOST_NAME = 40;
    private const MOST_MM = 1500;
    private const MOST_EACH = 100;

    public function __construct(private NamedPapers $papers, private Items $items)
    {
    }

    /** The revision of the design that the person has seen. */
    public function seen(Input $input): int
    {
        $seen = $input->whole('revision', 1, self::MOST_REVISION);
        $input->check();

        return $seen;
    }

    /** A paper as it is called, and what else will do; null where nothing was typed. */
    public function paper(Input $input, string $field = 'paper', string $wish = 'wish'): ?PaperChoice
    {
        $words = $input->text($field, 200);
        if ('' === $words) {
            return null;
        }
        try {
            $item = $this->papers->named($words);
        } catch (InvalidPieces $unclear) {
            $input->refuse($field, $unclear->getMessage());

            return null;
        }

        return new PaperChoice($item, $input->has($wish) ? $input->choice($wish, PaperWish::class) : PaperWish::This);
    }

    public function required(Input $input): ?PaperChoice
    {
        if ($input->isEmpty('paper')) {
            $input->refuse('paper', 'Of which paper? Write its name or its colour.');
        }

        return $this->paper($input);
    }

    /** What is said of a design as a whole. */
    public function whole(Input $input, Design $design): Design
    {
        return $design->with([
            'quantity' => $input->whole('quantity', 1, Design::MOST),
            'finished' => $this->sides($input, 'size'),
            'fold' => $design->form->isFolded() && $input->has('fold') ? $input->choice('fold', Fold::class) : $design->fold,
            'paper' => $design->form->isListed() ? null : $this->paper($input),
        ]);
    }

    /** A paper that a line names; null where it names none. */
    public function named(Input $input, string $words): ?PaperChoice
    {
        try {
            return '' === $words ? null : new PaperChoice($this->papers->named($words));
        } catch (InvalidPieces $unclear) {
            $input->refuse('pieces', $unclear->getMessage());

            return null;
        }
    }

    public function layer(Input $input, LayerKind $kind, int $id, ?Layer $before): Layer
    {
        $layer = new Layer(
            $id,
            $this->name($input, $kind->value),
            $kind,
            reveal: $kind->hasReveal() ? $this->length($input, 'reveal') : null,
            size: $kind->hasReveal() ? null : $this->sides($input, 'size'),
            window: LayerKind::Frame === $kind ? $this->sides($input, 'window') : null,
            x: $input->lengthFromZero('x')?->ticks,
            y: $input->lengthFromZero('y')?->ticks,
            isOnFoam: $input->isTicked('foam'),
            isStamped: $input->isTicked('stamped'),
            paper: $this->paper($input),
            spare: $before->spare ?? 0,
        );

        return $layer;
    }

    public function block(Input $input, BlockKind $kind, int $id, ?Block $before, Design $design): Block
    {
        $sides = $this->sides($input, 'size');
        $mats = [];
        foreach ([1, 2] as $number) {
            $reveal = $input->lengthFromZero('mat'.$number)?->ticks;
            if (null !== $reveal && $reveal > 0) {
                $spare = null === $before ? 0 : ($before->mats[$number - 1] ?? new Mat(0))->spare;
                $mats[] = new Mat($reveal, $this->paper($input, 'mat_paper'.$number, 'mat_wish'.$number), $spare);
            }
        }
        $around = array_sum(array_map(static fn (Mat $mat): int => $mat->reveal, $mats));
        $x = $input->lengthFromZero('x')->ticks ?? intdiv(max(0, $design->finished->width - $sides->width), 2) - $around;
        $y = $input->lengthFromZero('y')->ticks ?? intdiv(max(0, $design->finished->height - $sides->height), 2) - $around;

        return new Block(
            $id,
            $this->name($input, $kind->value),
            $kind,
            new Rect(max(0, $x) + $around, max(0, $y) + $around, $sides->width, $sides->height),
            $mats,
            $kind->isCut() ? $this->paper($input) : null,
            $before->spare ?? 0,
        );
    }

    public function listed(Input $input, int $id, ?ListedPiece $before): ListedPiece
    {
        return new ListedPiece(
            $id,
            $this->name($input, 'piece'),
            $this->sides($input, 'size'),
            $input->whole('each', 1, self::MOST_EACH),
            $before->creases ?? [],
            $this->paper($input),
            $before->spare ?? 0,
        );
    }

    public function sides(Input $input, string $field): Sides
    {
        $size = $input->sheetSize($field);
        if (null === $size) {
            $input->refuse($field, 'How large? Write it like 4 × 5 1/4.');

            return new Sides(1, 1);
        }

        return Sides::of($size);
    }

    /** @throws Unknown if an item is not in the catalogue */
    public function item(Input $input): int
    {
        return (int) $this->items->one($input->id('item'))->id;
    }

    private function name(Input $input, string $otherwise): string
    {
        $name = $input->text('name', self::MOST_NAME);

        return '' === $name ? $otherwise : $name;
    }

    private function length(Input $input, string $field): int
    {
        $length = $input->lengthFromZero($field);
        if (null === $length) {
            $input->refuse($field, 'How much of what is beneath is seen on each side?');
        }

        return min($length->ticks ?? 0, self::MOST_MM * Length::TICKS_PER_MILLIMETRE);
    }
}
