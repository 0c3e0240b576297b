<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Size;

/** What is known of a sheet, scrap, panel, base or envelope; null is what nobody has said yet. */
final readonly class Sheet
{
    /**
     * @param Size|null $size as it lies flat; of a scrap with an outline the box around it
     * @param Direction|null $direction which way its pattern or grain runs
     * @param string|null $back the colour of its other side as #rrggbb, where that is another one
     * @param Outline|null $outline in ticks, of what is no rectangle
     * @param bool $isWeighed whether its weight was learned from sheets on a scale, and not read off a wrapper
     */
    public function __construct(
        public ?Size $size = null,
        public ?Grammage $weight = null,
        public ?Direction $direction = null,
        public ?string $back = null,
        public string $finish = '',
        public ?Outline $outline = null,
        public bool $isWeighed = false,
    ) {
    }

    /** Whether there is more to tell of it than size, weight and direction. */
    public function hasFacts(): bool
    {
        return null !== $this->back || '' !== $this->finish || null !== $this->outline;
    }

    /** Returns it with another size; a size that is said anew is that of a rectangle. */
    public function sized(?Size $size): self
    {
        return new self(
            $size,
            $this->weight,
            $this->direction,
            $this->back,
            $this->finish,
            true === $size?->equals($this->size) ? $this->outline : null,
            $this->isWeighed,
        );
    }

    public function weighing(?Grammage $weight, bool $isWeighed = false): self
    {
        return new self($this->size, $weight, $this->direction, $this->back, $this->finish, $this->outline, $isWeighed);
    }

    public function running(?Direction $direction): self
    {
        return new self($this->size, $this->weight, $direction, $this->back, $this->finish, $this->outline, $this->isWeighed);
    }

    /** Whether it can have been cut from a paper, one way round or the other; where a size is not known, nothing speaks against it. */
    public function canComeFrom(self $paper): bool
    {
        return null === $this->size || null === $paper->size || $this->size->isWithin($paper->size) || $this->size->turned()->isWithin($paper->size);
    }

    /** Returns a piece of the same paper. */
    public function cutTo(Size $size, ?Outline $outline = null): self
    {
        return new self($size, $this->weight, $this->direction, $this->back, $this->finish, $outline, $this->isWeighed);
    }

    /** Returns twice its area in square ticks, a whole number; null where its size is not known. */
    public function doubledArea(): ?int
    {
        return $this->outline?->doubledArea() ?? (null === $this->size ? null : 2 * $this->size->width->ticks * $this->size->height->ticks);
    }

    /** Returns the weight of one in grams; null where its size or its weight is not known. */
    public function grams(): ?float
    {
        $area = $this->doubledArea();
        if (null === $area || null === $this->size || null === $this->weight) {
            return null;
        }
        [$width, $height] = [$this->size->width, $this->size->height];
        $share = $area / (2 * $width->ticks * $height->ticks);

        return Stack::sheetGrams($width->millimetres() / 1000, $height->millimetres() / 1000, $this->weight->gsm()) * $share;
    }
}
