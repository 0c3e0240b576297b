<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\Sheet;
use Lottel\Core\Paper\SheetShape;
use Lottel\Core\Paper\SheetSize;

/** A line of the demo room's lists of things. */
final readonly class DemoThing
{
    /** @param list<string> $themes */
    private function __construct(
        public string $address,
        public string $name,
        public string $maker,
        public string $quantity,
        public array $themes,
        public string $colour,
        public string $words,
    ) {
    }

    /** @param string $line address, name, maker, quantity, themes, colour and other words between bars */
    public static function read(string $line): self
    {
        [$address, $name, $maker, $quantity, $themes, $colour, $words] = array_map(trim(...), explode('|', $line)) + array_fill(0, 7, '');
        $themes = array_filter(array_map(trim(...), explode(',', $themes)), static fn (string $theme): bool => '' !== $theme);

        return new self($address, $name, $maker, $quantity, array_values($themes), $colour, $words);
    }

    /** The measures of a sheet, as its name and its other words say them. */
    public function sheet(Kind $kind): Sheet
    {
        if (!$kind->isSheet()) {
            return new Sheet();
        }
        $direction = $weight = $size = $without = null;
        foreach ($this->words() as $word) {
            $direction ??= Direction::tryFrom($word);
            $weight ??= 1 === preg_match('/^\d.* (?:gsm|lb \w+)$/D', $word) ? Grammage::parse($word) : null;
            $size ??= 1 === preg_match('/^(?:\d.* × .*|letter)$/D', $word) ? SheetSize::read($word, LengthUnit::Inch) : null;
            $without ??= str_starts_with($word, 'without ') ? SheetSize::read(substr($word, 8), LengthUnit::Inch) : null;
        }
        $size ??= Kind::Envelope === $kind ? null : SheetSize::inName($this->name, LengthUnit::Inch);

        return new Sheet($size, $weight, $direction, outline: null === $size || null === $without ? null : SheetShape::withoutCorner($size, $without));
    }

    /** What a die cuts, as its other words say it; null where they do not. */
    public function cutSizes(): ?CutSizes
    {
        return 1 === preg_match('/(?:^|, )cuts (.+)$/D', $this->words, $m) ? CutSizes::read($m[1], LengthUnit::Inch) : null;
    }

    /** The name of the paper that a scrap was cut from, which may hold a comma itself; empty where nobody knows. */
    public function parent(): string
    {
        return 1 === preg_match('/(?:^|, )from (.+)$/D', $this->words, $m) ? $m[1] : '';
    }

    /** @return list<string> */
    private function words(): array
    {
        return array_map(trim(...), explode(',', (string) preg_replace('/(^|, )from .*$/D', '', $this->words)));
    }
}
