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

    /** @param int<1, 2> $levels how many folders deep its parts lie */
    public static function read(string $folder, string $namespace, int $levels = 1): self
    {
        $from = [];
        $names = '/'.preg_quote($namespace, '/').str_repeat('\\\\(\w+)', $levels).'\\\\\w/';
        foreach (glob($folder.str_repeat('/*', $levels), \GLOB_ONLYDIR) ?: [] as $part) {
            $name = substr($part, \strlen($folder) + 1);
            $known = [];
            foreach ([...glob($part.'/*.php') ?: [], ...glob($part.'/*/*.php') ?: []] as $file) {
                preg_match_all($names, (string) file_get_contents($file), $m, \PREG_SET_ORDER);
                $known = [...$known, ...array_map(static fn (array $found): string => implode('/', \array_slice($found, 1)), $m)];
            }
            $from[$name] = array_values(array_unique(array_diff($known, [$name])));
            sort($from[$name]);
        }
        ksort($from);

        return new self($from);
    }

    /** Whether a part knows of another, itself or by way of others. */
    public function knows(string $part, string $other): bool
    {
        $seen = [];
        for ($next = $this->from[$part] ?? []; [] !== $next; $next = array_merge(...array_map(fn (string $one): array => $this->from[$one] ?? [], $next))) {
            if (\in_array($other, $next, true)) {
                return true;
            }
            $next = array_values(array_diff($next, $seen));
            $seen = [...$seen, ...$next];
            if ([] === $next) {
                break;
            }
        }

        return false;
    }

    /** @param array<string, list<string>> $more further parts that a part knows of */
    public function and(array $more): self
    {
        $from = $this->from;
        foreach ($more as $part => $known) {
            $from[$part] = array_values(array_unique([...$from[$part] ?? [], ...$known]));
        }

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
        foreach ($this->wings() as $wing => $parts) {
            $lines[] = "    subgraph {$wing}";
            foreach ($parts as $part) {
                $lines[] = \sprintf('        %s["%s"]', self::node($part), basename($part));
            }
            $lines[] = '    end';
        }
        foreach ($this->from as $part => $known) {
            foreach ($known as $other) {
                $lines[] = \sprintf('    %s --> %s', self::node($part), self::node($other));
            }
        }
        $lines = [...$lines, '```', '', '| layer | parts |', '|---|---|'];
        foreach (array_reverse($this->layers(), true) as $index => $parts) {
            $lines[] = \sprintf('| %d | %s |', $index + 1, implode(', ', $parts));
        }

        return implode("\n", $lines)."\n";
    }

    /** @return array<string, list<string>> the parts of each folder of parts; none where parts lie in no folder */
    private function wings(): array
    {
        $wings = [];
        foreach (array_keys($this->from) as $part) {
            if (str_contains($part, '/')) {
                $wings[\dirname($part)][] = $part;
            }
        }

        return $wings;
    }

    private static function node(string $part): string
    {
        return str_replace('/', '_', $part);
    }
}
