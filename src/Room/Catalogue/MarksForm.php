<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use Lottel\Core\Colour\Palette;
use Lottel\Core\Picture\InvalidSpot;
use Lottel\Core\Picture\Raster;
use Lottel\Core\Picture\Spot;
use Lottel\Core\Picture\ThingInPicture;

/** Reads what was touched in the photo of an open place: the marks that are there, and where it was touched now. */
final readonly class MarksForm
{
    public const MOST = 60;
    private const MOST_PIXELS = 20_000;
    /** How wide the page shows a photo where it cannot tell, in pixels. */
    private const SHOWN_WITHOUT_SCRIPT = 640;
    private const USUAL = 160;
    private const PITCH = 200;
    private const ACROSS = 5;
    private const LEAST_DRAG = 12;

    /**
     * Reads spots and names.
     *
     * @return list<array{spot: Spot, name: string}> by line
     *
     * @throws InvalidInput of everything that is wrong, each beside its field
     */
    public function read(Input $input): array
    {
        $marks = [];
        foreach ($this->lines($input) as $line) {
            $name = $input->text('name_'.$line, 300, true);
            $spot = $this->spot($input, $line);
            if (null !== $spot) {
                $marks[] = ['spot' => $spot, 'name' => $name];
            }
        }
        $input->check();

        return $marks;
    }

    /** Reads one line's spot; complains beside it where it is none. */
    public function spot(Input $input, int $line): ?Spot
    {
        try {
            return Spot::parse($input->text('spot_'.$line, 40));
        } catch (InvalidSpot $wrong) {
            $input->refuse('spot_'.$line, $wrong->getMessage());

            return null;
        }
    }

    /**
     * Returns the marks as they were typed, without the one that is dropped, and with the one that was touched now.
     *
     * @return list<Mark>
     */
    public function marks(Input $input, PlacePhoto $photo, Raster $picture): array
    {
        $dropped = $input->text('drop', 4);
        $marks = [];
        foreach ($this->lines($input) as $line) {
            if ((string) $line !== $dropped) {
                $marks[] = $this->mark($input->text('spot_'.$line, 40), $input->text('name_'.$line, 300), $picture);
            }
        }
        if ('' === $dropped && ($input->has('tap_x') || !$input->isEmpty('box')) && \count($marks) < self::MOST) {
            $marks[] = $this->mark((string) $this->touched($input, $photo, $picture, $marks), '', $picture);
        }

        return $marks;
    }

    /** @return list<int> */
    private function lines(Input $input): array
    {
        $many = $input->isEmpty('marks') ? 0 : $input->whole('marks', 0, self::MOST);

        return 0 === $many ? [] : range(0, $many - 1);
    }

    private function mark(string $spot, string $name, Raster $picture): Mark
    {
        try {
            $colours = Palette::of($picture->middleOf(Spot::parse($spot)), 3)->colours;
        } catch (InvalidSpot) {
            $colours = [];
        }

        return new Mark($spot, $name, [] === $colours ? null : $colours[0]['colour']->hex());
    }

    /**
     * The thing that lies where the photo was touched, or the box that was drawn over it. A key touches no point: then it is the
     * next free piece of the photo, to be put right by its numbers.
     *
     * @param list<Mark> $marks
     */
    private function touched(Input $input, PlacePhoto $photo, Raster $picture, array $marks): Spot
    {
        $shown = $input->isEmpty('shown') ? self::SHOWN_WITHOUT_SCRIPT : $input->whole('shown', 50, self::MOST_PIXELS);
        $along = static fn (int $pixels): int => max(0, min(Spot::WHOLE, intdiv($pixels * Spot::WHOLE, max(1, $shown))));
        $down = static fn (int $pixels): int => max(0, min(Spot::WHOLE, intdiv($pixels * Spot::WHOLE * $photo->width, max(1, $shown * $photo->height))));
        [$x, $y, $toX, $toY] = $this->corners($input);
        if (max(abs($toX - $x), abs($toY - $y)) >= self::LEAST_DRAG) {
            return Spot::between($along($x), $down($y), $along($toX), $down($toY));
        }

        return 0 === $toX && 0 === $toY ? self::free($marks) : ThingInPicture::around($picture, $along($toX), $down($toY));
    }

    /** @return array{int, int, int, int} from where to where a finger went, in pixels as the photo is shown; without JavaScript a point */
    private function corners(Input $input): array
    {
        $box = array_map(intval(...), explode(',', $input->text('box', 40)));
        if (4 === \count($box)) {
            return $box;
        }
        [$x, $y] = [$input->whole('tap_x', 0, self::MOST_PIXELS), $input->whole('tap_y', 0, self::MOST_PIXELS)];

        return [$x, $y, $x, $y];
    }

    /** @param list<Mark> $marks */
    private static function free(array $marks): Spot
    {
        $taken = array_map(static fn (Mark $mark): string => $mark->spot, $marks);
        $spot = Spot::between(0, 0, self::USUAL, self::USUAL);
        for ($nth = 0; $nth < self::MOST && \in_array((string) $spot, $taken, true); ++$nth) {
            [$x, $y] = [self::PITCH * ($nth % self::ACROSS), self::PITCH * (intdiv($nth, self::ACROSS) % self::ACROSS)];
            $spot = Spot::between($x, $y, $x + self::USUAL, $y + self::USUAL);
        }

        return $spot;
    }
}
