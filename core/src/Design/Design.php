<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/**
 * What a kit makes, worked out: a card with its layers from the bottom up, a page with its blocks, or a list of pieces; and what it
 * takes besides paper. Lengths in ticks.
 */
final readonly class Design
{
    public const MOST = 1_000;
    public const MOST_PARTS = 40;

    /**
     * @param int $quantity how many of it are made
     * @param Sides $finished of one card, or of one page of two
     * @param PaperChoice|null $paper of the base, or of the page itself; null where nobody has said
     * @param int $spare how many more bases, or fewer, are cut than the design needs
     * @param list<Layer> $layers from the bottom up
     * @param list<Block> $blocks
     * @param list<ListedPiece> $listed
     * @param list<DesignThing> $things
     * @param list<string> $target colours that it is to come near to, as #rrggbb
     * @param int $next the number of the next part
     */
    public function __construct(
        public Form $form,
        public int $quantity,
        public Sides $finished,
        public Fold $fold = Fold::None,
        public ?PaperChoice $paper = null,
        public int $spare = 0,
        public array $layers = [],
        public array $blocks = [],
        public array $listed = [],
        public array $things = [],
        public array $target = [],
        public int $next = 1,
    ) {
    }

    /**
     * Returns it with some of its properties changed.
     *
     * @param array{form?: Form, quantity?: int, finished?: Sides, fold?: Fold, paper?: PaperChoice|null, spare?: int, layers?: list<Layer>,
     *     blocks?: list<Block>, listed?: list<ListedPiece>, things?: list<DesignThing>, target?: list<string>, next?: int} $changed
     */
    public function with(array $changed): self
    {
        /** @var array{form: Form, quantity: int, finished: Sides, fold: Fold, paper: PaperChoice|null, spare: int,
         *     layers: list<Layer>, blocks: list<Block>, listed: list<ListedPiece>, things: list<DesignThing>, target: list<string>, next: int} $all */
        $all = $changed + get_object_vars($this);

        return new self(...$all);
    }

    /**
     * Returns it as it is, if it can be.
     *
     * @throws InvalidDesign if its number is out, a side is nothing, a layer cannot lie where it is, or a block is outside its page
     */
    public function checked(): self
    {
        if ($this->quantity < 1 || $this->quantity > self::MOST) {
            throw InvalidDesign::quantityIsOut(self::MOST);
        }
        if ($this->finished->isNothing()) {
            throw InvalidDesign::empty('finished');
        }
        if (\count($this->layers) + \count($this->blocks) + \count($this->listed) > self::MOST_PARTS) {
            throw InvalidDesign::tooManyParts(self::MOST_PARTS);
        }
        $this->front();
        foreach ($this->blocks as $index => $block) {
            if (!$block->outer()->isWithin($this->ground())) {
                throw InvalidDesign::outsidePage('blocks['.$index.']', $block->name);
            }
        }

        return $this;
    }

    /**
     * @return list<PlacedLayer> the layers as they lie on the front
     *
     * @throws InvalidDesign if one of them cannot
     */
    public function front(): array
    {
        return CardFront::placed($this->finished, $this->layers);
    }

    /** Returns all that blocks lie on: the page, or both pages side by side. */
    public function ground(): Rect
    {
        return new Rect(0, 0, $this->form->pages() * $this->finished->width, $this->finished->height);
    }

    /**
     * Returns what is to be cut, from the bottom up; pieces that are alike are one.
     *
     * @return list<DesignPiece>
     */
    public function pieces(): array
    {
        return DesignPieces::of($this);
    }

    /** @throws InvalidDesign if there is no such layer */
    public function layer(int $id): Layer
    {
        return $this->only($this->layers, $id);
    }

    /** @throws InvalidDesign if there is no such block */
    public function block(int $id): Block
    {
        return $this->only($this->blocks, $id);
    }

    /** @throws InvalidDesign if there is no such piece */
    public function listedPiece(int $id): ListedPiece
    {
        return $this->only($this->listed, $id);
    }

    /** Returns it with one more part, on top of the others; the part gets the next number. */
    public function and(Layer|Block|ListedPiece $part): self
    {
        $part = $part->with(['id' => $this->next]);
        $more = match (true) {
            $part instanceof Layer => $this->with(['layers' => [...$this->layers, $part]]),
            $part instanceof Block => $this->with(['blocks' => [...$this->blocks, $part]]),
            default => $this->with(['listed' => [...$this->listed, $part]]),
        };

        return $more->with(['next' => $this->next + 1]);
    }

    /** Returns it with a part in the place of the one that has its number. */
    public function putting(Layer|Block|ListedPiece $part): self
    {
        return match (true) {
            $part instanceof Layer => $this->with(['layers' => self::put($this->layers, $part)]),
            $part instanceof Block => $this->with(['blocks' => self::put($this->blocks, $part)]),
            default => $this->with(['listed' => self::put($this->listed, $part)]),
        };
    }

    public function without(int $id): self
    {
        return $this->with([
            'layers' => self::left($this->layers, $id),
            'blocks' => self::left($this->blocks, $id),
            'listed' => self::left($this->listed, $id),
        ]);
    }

    /** Returns it with a layer one further up, or down; at the end it stays where it is. */
    public function raised(int $id, int $by): self
    {
        $layers = $this->layers;
        $at = array_search($id, array_map(static fn (Layer $layer): int => $layer->id, $layers), true);
        if (!\is_int($at) || !isset($layers[$at + $by])) {
            return $this;
        }
        [$layers[$at], $layers[$at + $by]] = [$layers[$at + $by], $layers[$at]];

        return $this->with(['layers' => array_values($layers)]);
    }

    /**
     * Returns it with only so much of what lies on it.
     *
     * @param list<int> $parts layers or blocks, by number
     */
    public function laid(array $parts): self
    {
        $isThere = static fn (Layer|Block $part): bool => \in_array($part->id, $parts, true);

        return $this->with([
            'layers' => array_values(array_filter($this->layers, $isThere)),
            'blocks' => array_values(array_filter($this->blocks, $isThere)),
        ]);
    }

    /** @return list<int> the items of all papers that it speaks of */
    public function papers(): array
    {
        $papers = array_map(static fn (DesignPiece $piece): ?int => $piece->paper?->item, $this->pieces());

        return array_values(array_unique(array_filter($papers, is_int(...))));
    }

    /**
     * Returns it with other papers in the place of some.
     *
     * @param array<int, int> $papers the new item's number by the old one's
     */
    public function repapered(array $papers): self
    {
        $new = static fn (?PaperChoice $old): ?PaperChoice => null === $old ? null : new PaperChoice($papers[$old->item] ?? $old->item, $old->wish);

        return $this->with([
            'paper' => $new($this->paper),
            'layers' => array_map(static fn (Layer $layer): Layer => $layer->of($new($layer->paper)), $this->layers),
            'blocks' => array_map(static fn (Block $block): Block => $block->with([
                'paper' => $new($block->paper),
                'mats' => array_map(static fn (Mat $mat): Mat => new Mat($mat->reveal, $new($mat->paper), $mat->spare), $block->mats),
            ]), $this->blocks),
            'listed' => array_map(static fn (ListedPiece $piece): ListedPiece => $piece->with(['paper' => $new($piece->paper)]), $this->listed),
        ]);
    }

    /** Returns it with all mats behind its blocks of one paper. */
    public function matted(PaperChoice $paper): self
    {
        return $this->with(['blocks' => array_map(static fn (Block $block): Block => $block->with([
            'mats' => array_map(static fn (Mat $mat): Mat => new Mat($mat->reveal, $paper, $mat->spare), $block->mats),
        ]), $this->blocks)]);
    }

    /** Returns it with so many more, or fewer, of a piece cut than it needs; $part is that of a DesignPiece. */
    public function sparing(string $part, int $spare): self
    {
        return match (true) {
            'base' === $part => $this->with(['spare' => $spare]),
            1 === preg_match('/^L(\d+)$/D', $part, $m) => $this->putting($this->layer((int) $m[1])->sparing($spare)),
            1 === preg_match('/^P(\d+)$/D', $part, $m) => $this->putting($this->listedPiece((int) $m[1])->with(['spare' => $spare])),
            1 === preg_match('/^B(\d+)$/D', $part, $m) => $this->putting($this->block((int) $m[1])->with(['spare' => $spare])),
            1 === preg_match('/^B(\d+)\.m(\d+)$/D', $part, $m) => $this->putting($this->withSpareMat($this->block((int) $m[1]), (int) $m[2], $spare)),
            default => throw InvalidDesign::hasNoSuchPart(),
        };
    }

    /** Returns it with a thing in the place of the one of that item, or beside the others; one in a role of which there is one takes its place. */
    public function taking(DesignThing $thing): self
    {
        $stays = static fn (DesignThing $other): bool => $other->item !== $thing->item
            && (ThingRole::Beside === $thing->role || $other->role !== $thing->role);

        return $this->with(['things' => [...array_values(array_filter($this->things, $stays)), $thing]]);
    }

    public function notTaking(int $item): self
    {
        return $this->with(['things' => array_values(array_filter($this->things, static fn (DesignThing $thing): bool => $thing->item !== $item))]);
    }

    public function thing(int $item): ?DesignThing
    {
        return array_values(array_filter($this->things, static fn (DesignThing $thing): bool => $thing->item === $item))[0] ?? null;
    }

    public function inRole(ThingRole $role): ?DesignThing
    {
        return array_values(array_filter($this->things, static fn (DesignThing $thing): bool => $thing->role === $role))[0] ?? null;
    }

    private function withSpareMat(Block $block, int $number, int $spare): Block
    {
        $mats = $block->mats;
        $mat = $mats[$number - 1] ?? throw InvalidDesign::hasNoSuchPart();
        $mats[$number - 1] = new Mat($mat->reveal, $mat->paper, $spare);

        return $block->with(['mats' => $mats]);
    }

    /**
     * @template T of Layer|Block|ListedPiece
     *
     * @param list<T> $parts
     * @param T $part
     *
     * @return list<T>
     */
    private static function put(array $parts, Layer|Block|ListedPiece $part): array
    {
        return array_map(static fn (Layer|Block|ListedPiece $one) => $one->id === $part->id ? $part : $one, $parts);
    }

    /**
     * @template T of Layer|Block|ListedPiece
     *
     * @param list<T> $parts
     *
     * @return list<T>
     */
    private static function left(array $parts, int $id): array
    {
        return array_values(array_filter($parts, static fn (Layer|Block|ListedPiece $part): bool => $part->id !== $id));
    }

    /**
     * @template T of Layer|Block|ListedPiece
     *
     * @param list<T> $parts
     *
     * @return T
     */
    private function only(array $parts, int $id): Layer|Block|ListedPiece
    {
        foreach ($parts as $part) {
            if ($part->id === $id) {
                return $part;
            }
        }
        throw InvalidDesign::hasNoSuchPart();
    }
}
