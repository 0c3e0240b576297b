<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Size;

/** A layout page, or a spread of two, with its photos. */
final readonly class PageDesign
{
    /** @param list<PhotoMat> $photos */
    public function __construct(public Size $page, public bool $isSpread, public array $photos)
    {
    }

    /**
     * Returns the mats to cut.
     *
     * @return list<CardPiece>
     *
     * @throws InvalidDesign if a mat lies outside the page, across the fold of a spread, or over another one
     */
    public function pieces(): array
    {
        $pieces = [];
        foreach ($this->photos as $index => $photo) {
            $this->check($photo, 'photos['.$index.']', \array_slice($this->photos, 0, $index));
            $pieces[] = new CardPiece($photo->name, $photo->mat());
        }

        return $pieces;
    }

    /** @param list<PhotoMat> $others */
    private function check(PhotoMat $photo, string $field, array $others): void
    {
        $mat = $photo->mat();
        if (0 === $photo->photo->width->ticks || 0 === $photo->photo->height->ticks) {
            throw InvalidDesign::empty($field.'.photo');
        }
        $page = $this->page->width->ticks;
        [$left, $right] = [$photo->x->ticks, $photo->x->ticks + $mat->width->ticks];
        $crossesFold = $this->isSpread && $left < $page && $right > $page;
        if ($right > ($this->isSpread ? 2 : 1) * $page || $photo->y->ticks + $mat->height->ticks > $this->page->height->ticks || $crossesFold) {
            throw InvalidDesign::outsidePage($field);
        }
        foreach ($others as $other) {
            $size = $other->mat();
            if ($left < $other->x->ticks + $size->width->ticks && $other->x->ticks < $right
                && $photo->y->ticks < $other->y->ticks + $size->height->ticks && $other->y->ticks < $photo->y->ticks + $mat->height->ticks) {
                throw InvalidDesign::overlaps($field);
            }
        }
    }
}
