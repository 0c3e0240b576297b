<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A sheet or scrap on the cutting table: what is cut already, and what is still to be. It never changes; each cut returns the next one. */
final readonly class SheetInWork
{
    private function __construct(public WorkPart $root)
    {
    }

    public static function of(WorkPart $root): self
    {
        return new self($root);
    }

    /** Whether a cut of it is made. */
    public function isBegun(): bool
    {
        return $this->root->isMade;
    }

    /** Whether no cut is left to be made. */
    public function isDone(): bool
    {
        return [] === $this->toCut();
    }

    /** Whether it is one of the pieces as it is, and wants no cut. */
    public function isReady(): bool
    {
        return null !== $this->root->piece;
    }

    /** @return array<array-key, WorkPart> the parts on the table that have a cut to be made, by name */
    public function toCut(): array
    {
        return array_filter($this->root->inHand(), static fn (WorkPart $part): bool => $part->isCut());
    }

    /** @return array<array-key, WorkPart> the parts that nothing is to be cut from, by name; they may still hang together with others */
    public function free(): array
    {
        return array_filter($this->root->leaves(), static fn (WorkPart $leaf): bool => $leaf->isFree());
    }

    /**
     * The planned cut of a part is made.
     *
     * @throws RefusedCut if the part is not on the table, or has no cut to be made
     */
    public function cut(string $name): self
    {
        return new self($this->root->with($name, $this->inHand($name)->made()));
    }

    /**
     * A part was cut at another place than planned, in the same direction; what was to be cut from it is lost.
     *
     * @param int $at from its left or upper edge, in ticks
     *
     * @throws RefusedCut if the part is not on the table, has no cut to be made, or the place is not inside it
     */
    public function cutWrong(string $name, int $at): self
    {
        $part = $this->inHand($name);

        return new self($this->root->with($name, WorkPart::whole($part->width, $part->height)->cutAt($part->isCutAlongX, $at, true)));
    }

    /**
     * Something is to be cut from a part that is free.
     *
     * @throws RefusedCut if the part is not free
     */
    public function plan(string $name, WorkPart $planned): self
    {
        return $this->root->named($name)->isFree() ? new self($this->root->with($name, $planned)) : throw RefusedCut::isNotInHand();
    }

    /** Nothing is to be cut from it any more: what is planned and not made is forgotten, the pieces that are cut stay. */
    public function stopped(): self
    {
        $root = $this->root;
        foreach ($this->toCut() as $name => $part) {
            $root = $root->with((string) $name, WorkPart::whole($part->width, $part->height));
        }

        return new self($root);
    }

    /** Returns what it becomes: its pieces and what is left over, those of one size together. */
    public function yields(Keep $keep): CutYield
    {
        return CutYield::of($this->root->width, $this->root->height, $this->root->leaves(), $keep);
    }

    private function inHand(string $name): WorkPart
    {
        $part = $this->root->inHand()[$name] ?? throw RefusedCut::isNotInHand();

        return $part->isCut() ? $part : throw RefusedCut::isNotInHand();
    }
}
