<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Stores\Places;
use App\Web\Frame;
use App\Web\Input;
use App\Web\InvalidInput;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Log\Tracking;

/** Reads new things cell by cell; a line that is left out is passed over. */
final readonly class NewThingsForm
{
    public const MOST = 200;
    public const A_SECOND_ONE = 'second';
    public const LEAVE_OUT = 'out';
    private const CELLS = ['name', 'maker', 'quantity', 'themes', 'colour'];

    public function __construct(private Items $items, private Places $places, private Frame $frame)
    {
    }

    /**
     * @return list<NewThing>
     *
     * @throws InvalidInput of everything that cannot be read, each beside its cell
     */
    public function read(Input $input): array
    {
        $things = [];
        foreach (range(0, $input->whole('lines', 1, self::MOST) - 1) as $line) {
            if (self::LEAVE_OUT !== $input->text('double_'.$line, 20)) {
                $thing = $this->thing($input, $line);
                if (null !== $thing) {
                    $things[] = new NewThing($thing, $this->places->chosen($input, 'home_'.$line), $this->moreOf($input, $line));
                }
            }
        }
        $input->check();

        return $things;
    }

    private function thing(Input $input, int $line): ?PastedThing
    {
        $kind = $input->choice('kind_'.$line, Kind::class);
        $moreOf = $this->moreOf($input, $line);
        $tracking = $moreOf->tracking ?? $input->choice('tracking_'.$line, Tracking::class);
        [$name, $maker, $quantity, $themes, $colour] = array_map(static fn (string $cell): string => $input->text($cell.'_'.$line, 300), self::CELLS);
        try {
            return PastedThing::corrected(
                [$name, $maker, $quantity, $themes, $colour],
                $line + 1,
                $kind,
                $tracking,
                $this->frame->quantities(),
                $this->frame->colours(),
            );
        } catch (InvalidPaste $wrong) {
            $input->refuse($wrong->cell().'_'.$line, $wrong->why ?? $wrong->getMessage());

            return null;
        }
    }

    private function moreOf(Input $input, int $line): ?Item
    {
        $id = (int) preg_replace('/^add-(\d{1,12})$/', '$1', $input->text('double_'.$line, 20));

        return 0 === $id ? null : $this->items->one($id);
    }
}
