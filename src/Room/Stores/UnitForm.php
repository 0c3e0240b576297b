<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use Lottel\Core\Furniture\UnitSize;
use Lottel\Core\Furniture\UnitTemplate;

/** A new unit, as a person describes it. */
final readonly class UnitForm
{
    private function __construct(
        public UnitTemplate $template,
        public string $letters,
        public string $name,
        public string $wall,
        public int $rows,
        public int $columns,
        public UnitSize $size,
    ) {
    }

    /** @throws InvalidInput of everything that cannot be read */
    public static function read(Input $input, Room $room): self
    {
        $template = $input->choice('template', UnitTemplate::class);
        $letters = strtoupper($input->text('letters', 3, true));
        if (1 !== preg_match('/^[A-Z]{1,3}$/D', $letters)) {
            $input->refuse('letters', 'One to three letters, such as C.');
        }
        $heights = $input->lengths('row_heights');
        $name = $input->text('name', 120);
        $wall = $input->text('wall', 60);
        $form = new self(
            $template,
            $letters,
            '' === $name ? $template->label() : $name,
            '' === $wall ? $room->name : $wall,
            [] === $heights ? $input->whole('rows', 1, UnitTemplate::MOST_ROWS) : \count($heights),
            $template->hasColumns() ? $input->whole('columns', 1, UnitTemplate::MOST_COLUMNS) : 1,
            new UnitSize(
                $input->length('width', 6000),
                $input->length('height', 4000),
                $input->length('depth', 2000),
                $input->lengthFromZero('above_floor', 4000),
                $heights,
            ),
        );
        $input->check();

        return $form;
    }
}
