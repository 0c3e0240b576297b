<?php

declare(strict_types=1);

namespace App\Demo;

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
}
