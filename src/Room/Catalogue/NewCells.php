<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\Measures;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\ListImport\PastedLine;
use Lottel\Core\ListImport\PastedLines;

/** Reads lines about new things into cells, with what is guessed of each. */
final readonly class NewCells
{
    public function __construct(private LikelyDoubles $doubles, private HomeReading $homes, private Measures $measures, private OwnColours $ownColours)
    {
    }

    /**
     * What somebody has named in a photo.
     *
     * @return list<NewCell>
     *
     * @throws InvalidPaste if a line cannot be read
     */
    public function read(string $text, SeenThings $seen, PlaceRule $rule): array
    {
        $things = PastedThing::lines($text, $rule->yielding(), $this->measures->quantities(), $this->ownColours->words());
        $doubles = $this->doubles->of($things);
        $cells = [];
        foreach ($things as $line => $thing) {
            $cells[] = $this->seen($seen, $line, $thing, $doubles[$line] ?? []);
        }

        return $cells;
    }

    /** @return list<NewCell> of every line one, of what cannot be read too */
    public function typed(PastedLines $lines): array
    {
        $doubles = $this->doubles->of(array_map(static fn (PastedLine $line): PastedThing => $line->thing, $lines->lines));

        return array_map(
            fn (PastedLine $line, int $at): NewCell => $this->guessed($line, $doubles[$at] ?? []),
            $lines->lines,
            array_keys($lines->lines),
        );
    }

    public function lines(string $text): PastedLines
    {
        return PastedLines::read($text, (new PlaceRule())->yielding(), $this->measures->quantities(), $this->ownColours->words());
    }

    /** @param list<DoubleRow> $doubles */
    private function guessed(PastedLine $line, array $doubles): NewCell
    {
        $thing = $line->thing;
        $guessed = $thing->colourInName($this->ownColours->words());
        $home = $this->homes->forNew($thing);

        return new NewCell(
            $thing,
            $guessed ?? self::colourOf($thing),
            null !== $guessed,
            $home->address ?? '',
            implode(', ', $home->reasons ?? []),
            $doubles,
            isset($line->wrong['size']) ? null : $thing->sizeInName($this->measures->measure()),
            wrong: $line->wrong,
            typed: $line->typed,
        );
    }

    /** @param list<DoubleRow> $doubles */
    private function seen(SeenThings $seen, int $line, PastedThing $thing, array $doubles): NewCell
    {
        $said = self::colourOf($thing);
        $measured = '' === $said && $thing->kind->hasOneColour() ? $seen->colour($line) : null;
        $here = array_values(array_filter($doubles, static fn (DoubleRow $double): bool => $seen->isHere($double->home)));

        $size = $thing->sizeInName($this->measures->measure());

        return new NewCell($thing, $measured ?? $said, null !== $measured, $seen->home($line), 'it is seen there', $doubles, $size, $here[0] ?? null);
    }

    private static function colourOf(PastedThing $thing): string
    {
        return '' === $thing->colourName ? (string) $thing->colour : $thing->colourName;
    }
}
