<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Measures;
use App\Room\Stores\Places;
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
    public const THAT_ONE = 'is-';
    private const CELLS = ['name', 'maker', 'quantity', 'themes', 'colour', 'size', 'weight'];

    public function __construct(private Items $items, private Places $places, private Measures $measures, private OwnColours $ownColours)
    {
    }

    /**
     * @param array<int, SeenAt> $seen where it was seen, by line
     *
     * @return list<NewThing>
     *
     * @throws InvalidInput of everything that cannot be read, each beside its cell
     */
    public function read(Input $input, array $seen = []): array
    {
        $things = [];
        foreach ($this->lines($input) as $line) {
            $thing = $this->one($input, $line, $seen[$line] ?? null);
            if (null !== $thing) {
                $things[] = $thing;
            }
        }
        $input->check();

        return $things;
    }

    private function one(Input $input, int $line, ?SeenAt $seen): ?NewThing
    {
        $thing = $this->thing($input, $line);

        return null === $thing ? null : new NewThing(
            $thing,
            $this->places->chosen($input, 'home_'.$line),
            $this->moreOf($input, $line),
            str_starts_with($input->text('double_'.$line, 20), self::THAT_ONE),
            $seen,
        );
    }

    /**
     * Reads those that are right; a line that is not is left as it was typed.
     *
     * @param list<string> $left
     *
     * @param-out list<string> $left
     *
     * @return list<NewThing>
     *
     * @throws InvalidInput if there are too many
     */
    public function right(Input $input, array &$left): array
    {
        $things = $left = [];
        foreach ($this->lines($input) as $line) {
            $mark = $input->mark();
            $thing = $this->one($input, $line, null);
            if ($input->backTo($mark) || null === $thing) {
                $cells = array_map(static fn (string $cell): string => $input->text($cell.'_'.$line, 4000), self::CELLS);
                $left[] = rtrim(implode('; ', $cells), '; ');
                $input->backTo($mark);
            } else {
                $things[] = $thing;
            }
        }
        $input->check();

        return $things;
    }

    /** @return list<int> the lines that are not left out */
    public function lines(Input $input): array
    {
        return array_values(array_filter(
            range(0, $input->whole('lines', 1, self::MOST) - 1),
            static fn (int $line): bool => self::LEAVE_OUT !== $input->text('double_'.$line, 20),
        ));
    }

    private function thing(Input $input, int $line): ?PastedThing
    {
        $kind = $input->choice('kind_'.$line, Kind::class);
        $moreOf = $this->moreOf($input, $line);
        $tracking = $moreOf->tracking ?? $input->choice('tracking_'.$line, Tracking::class);
        try {
            return PastedThing::corrected(
                array_map(static fn (string $cell): string => $input->text($cell.'_'.$line, 300), self::CELLS),
                $line + 1,
                $kind,
                $tracking,
                $this->measures->quantities(),
                $this->ownColours->words(),
            );
        } catch (InvalidPaste $wrong) {
            $input->refuse($wrong->cell().'_'.$line, $wrong->why ?? $wrong->getMessage());

            return null;
        }
    }

    private function moreOf(Input $input, int $line): ?Item
    {
        $id = (int) preg_replace('/^(?:add|is)-(\d{1,12})$/', '$1', $input->text('double_'.$line, 20));

        return 0 === $id ? null : $this->items->one($id);
    }
}
