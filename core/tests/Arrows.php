<?php

declare(strict_types=1);

namespace Lottel\Core\Tests;

/** Which part of a body of code knows of which, read from the code. */
final readonly class Arrows
{
    /** @param array<string, list<string>> $from the parts that a part knows of */
    private function __construct(public array $from)
    {
    }

    public static function read(string $folder, string $namespace): self
    {
        $from = [];
        foreach (glob($folder.'/*', \GLOB_ONLYDIR) ?: [] as $part) {
            $name = basename($part);
            $known = [];
            foreach ([...glob($part.'/*.php') ?: [], ...glob($part.'/*/*.php') ?: []] as $file) {
                preg_match_all('/'.preg_quote($namespace, '/').'\\\\(\w+)\\\\\w/', (string) file_get_contents($file), $m);
                $known = [...$known, ...$m[1]];
            }
            $from[$name] = array_values(array_unique(array_diff($known, [$name])));
            sort($from[$name]);
        }
        ksort($from);

        return new self($from);
    }

    /**
     * Returns the parts in layers: each knows only of those in layers before its own.
     *
     * @return list<list<string>>
     *
     * @throws \DomainException if some of them know of each other in a circle
     */
    public function layers(): array
    {
        $layers = [];
        $left = $this->from;
        while ([] !== $left) {
            $free = array_keys(array_filter($left, static fn (array $known): bool => [] === array_intersect($known, array_keys($left))));
            if ([] === $free) {
                throw new \DomainException('In a circle: '.implode(', ', array_keys($left)));
            }
            $layers[] = $free;
            $left = array_diff_key($left, array_flip($free));
        }

        return $layers;
    }

    /** Returns the drawing under a heading, for docs/arrows.md. */
    public function drawing(string $heading): string
    {
        $lines = [
            '## '.$heading,
            '',
            '```mermaid',
            'flowchart TD',
        ];
        foreach ($this->from as $part => $known) {
            foreach ($known as $other) {
                $lines[] = "    {$part} --> {$other}";
            }
        }
        $lines = [...$lines, '```', '', '| layer | parts |', '|---|---|'];
        foreach (array_reverse($this->layers(), true) as $index => $parts) {
            $lines[] = \sprintf('| %d | %s |', $index + 1, implode(', ', $parts));
        }

        return implode("\n", $lines)."\n";
    }
}
