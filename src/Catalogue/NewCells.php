<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Web\Frame;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;

/** Reads lines about new things into cells, with what is guessed of each. */
final readonly class NewCells
{
    public function __construct(private LikelyDoubles $doubles, private HomeReading $homes, private Frame $frame)
    {
    }

    /**
     * @return list<NewCell>
     *
     * @throws InvalidPaste if a line cannot be read
     */
    public function read(string $text, ?SeenThings $seen = null, PlaceRule $rule = new PlaceRule()): array
    {
        $things = PastedThing::lines($text, $rule->yielding(), $this->frame->quantities(), $this->frame->colours());
        $doubles = $this->doubles->of($things);
        $cells = [];
        foreach ($things as $line => $thing) {
            $cells[] = null === $seen ? $this->guessed($thing, $doubles[$line] ?? []) : $this->seen($seen, $line, $thing, $doubles[$line] ?? []);
        }

        return $cells;
    }

    /** @param list<DoubleRow> $doubles */
    private function guessed(PastedThing $thing, array $doubles): NewCell
    {
        $guessed = $thing->colourInName($this->frame->colours());
        $home = $this->homes->forNew($thing);

        return new NewCell(
            $thing,
            $guessed ?? self::colourOf($thing),
            null !== $guessed,
            $home->address ?? '',
            implode(', ', $home->reasons ?? []),
            $doubles,
            $thing->sizeInName($this->frame->measure()),
        );
    }

    /** @param list<DoubleRow> $doubles */
    private function seen(SeenThings $seen, int $line, PastedThing $thing, array $doubles): NewCell
    {
        $said = self::colourOf($thing);
        $measured = '' === $said && $thing->kind->hasOneColour() ? $seen->colour($line) : null;
        $here = array_values(array_filter($doubles, static fn (DoubleRow $double): bool => $seen->isHere($double->home)));

        $size = $thing->sizeInName($this->frame->measure());

        return new NewCell($thing, $measured ?? $said, null !== $measured, $seen->home($line), 'it is seen there', $doubles, $size, $here[0] ?? null);
    }

    private static function colourOf(PastedThing $thing): string
    {
        return '' === $thing->colourName ? (string) $thing->colour : $thing->colourName;
    }
}
