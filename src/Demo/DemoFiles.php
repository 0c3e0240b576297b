<?php

declare(strict_types=1);

namespace App\Demo;

use Symfony\Component\Yaml\Yaml;

/** Reads the files of the demo room. */
final readonly class DemoFiles
{
    private string $directory;

    public function __construct(string $projectDir)
    {
        $this->directory = $projectDir.'/demo';
    }

    /** @return array<string, mixed> */
    public function yaml(string $name): array
    {
        $content = Yaml::parseFile($this->directory.'/'.$name.'.yaml');
        \assert(\is_array($content));

        return $content;
    }

    /** @return list<array{address: string, name: string, maker: string, quantity: string, themes: list<string>, colour: string, words: string}> */
    public function things(): array
    {
        $things = [];
        foreach (glob($this->directory.'/things/*.txt') ?: [] as $file) {
            foreach (file($file, \FILE_IGNORE_NEW_LINES | \FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
                if (!str_starts_with($line, '#')) {
                    $things[] = $this->thing($line);
                }
            }
        }

        return $things;
    }

    /** @return array{address: string, name: string, maker: string, quantity: string, themes: list<string>, colour: string, words: string} */
    private function thing(string $line): array
    {
        [$address, $name, $maker, $quantity, $themes, $colour, $words] = array_map(trim(...), explode('|', $line)) + array_fill(0, 7, '');

        return [
            'address' => $address, 'name' => $name, 'maker' => $maker, 'quantity' => $quantity, 'colour' => $colour, 'words' => $words,
            'themes' => array_values(array_filter(array_map(trim(...), explode(',', $themes)), static fn (string $theme): bool => '' !== $theme)),
        ];
    }
}
