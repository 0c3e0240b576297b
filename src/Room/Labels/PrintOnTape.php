<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\LabelLayout;
use Lottel\Core\Label\Tape;

/** Prints labels on tape, one after the other, until all are printed or the printer stops. */
final readonly class PrintOnTape
{
    public function __construct(private TapePrinter $printer, private MakeLabels $make, private LabelLayout $layout, private LabelQueue $queue)
    {
    }

    /**
     * What has come out of the printer is printed, whatever stopped it afterwards.
     *
     * @param list<WishRow> $wishes
     *
     * @return array{int, TapeTrouble|null} how many were printed, and what stopped it
     *
     * @throws TapeTrouble if nothing could be printed at all
     */
    public function __invoke(Tape $tape, array $wishes): array
    {
        $printed = [];
        $trouble = null;
        foreach ($wishes as $wish) {
            $text = $this->make->ofWish($wish, true);
            try {
                $this->printer->print($this->layout->tape($text, $tape->height()), $text->head);
            } catch (TapeTrouble $trouble) {
                break;
            }
            $printed[] = $wish->id;
        }
        if ([] === $printed && null !== $trouble) {
            throw $trouble;
        }
        $this->queue->printed($printed);

        return [\count($printed), $trouble];
    }
}
