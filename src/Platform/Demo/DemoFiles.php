<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\Platform\Story\Said;
use Symfony\Component\Yaml\Yaml;

/** Reads the files of the demo room. */
final readonly class DemoFiles
{
    private string $directory;

    public function __construct(string $projectDir)
    {
        $this->directory = $projectDir.'/demo';
    }

    public function yaml(string $name): Said
    {
        $content = Yaml::parseFile($this->directory.'/'.$name.'.yaml');

        return new Said(\is_array($content) ? $content : []);
    }

    /** @return list<DemoThing> */
    public function things(): array
    {
        $things = [];
        foreach (glob($this->directory.'/things/*.txt') ?: [] as $file) {
            foreach (file($file, \FILE_IGNORE_NEW_LINES | \FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
                if (!str_starts_with($line, '#')) {
                    $things[] = DemoThing::read($line);
                }
            }
        }

        return $things;
    }
}
