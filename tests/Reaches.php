<?php

declare(strict_types=1);

namespace App\Tests;

/**
 * What arrows between classes do not show: tables that an area reads in its SQL, and what its templates take from those of another area,
 * by include, embed, import or function. Everything belongs to the area that declares it.
 */
final readonly class Reaches
{
    /** Views belong to whoever answers for what they say. */
    private const VIEWS = [
        'lies_here' => 'Room/Catalogue', 'lies_out' => 'Kits/Kits', 'open_want' => 'Kits/Kits', 'use_of_item' => 'Room/Log', 'piece_made' => 'Room/Log',
        'came_and_went' => 'Room/Log',
        'stock_of_item' => 'Room/Catalogue', 'item_use' => 'Room/Log', 'kit_holder' => 'Kits/Kits',
    ];

    public function __construct(private string $root)
    {
    }

    /** @return array<string, string> the area of each table and view */
    public function owners(): array
    {
        $owners = self::VIEWS;
        foreach ($this->files('src', 'php') as $file => $area) {
            $code = (string) file_get_contents($file);
            preg_match_all("~\\\$tables->(?:named|numbered)\\('(\\w+)'~", $code, $declared);
            $entity = str_contains($code, '#[ORM\Entity') ? [self::tableOf($code, basename($file, '.php'))] : [];
            foreach ([...$declared[1], ...$entity] as $table) {
                $owners[$table] = $area;
            }
        }

        return $owners;
    }

    /** @return array<string, list<string>> the areas whose tables an area reads, each as `area: table, table` */
    public function tables(): array
    {
        $owners = $this->owners();
        $read = [];
        foreach ($this->files('src', 'php') as $file => $area) {
            preg_match_all('~\b(?:FROM|JOIN|INTO|UPDATE) "?([a-z_]+)\b~', (string) file_get_contents($file), $found);
            foreach (array_unique($found[1]) as $table) {
                $owner = $owners[$table] ?? $area;
                if ($owner !== $area) {
                    $read[$area][$owner][$table] = $table;
                }
            }
        }

        return array_map(self::inWords(...), $read);
    }

    /** @return array<string, list<string>> the areas from which an area's templates take something, each as `area: what, what` */
    public function templates(): array
    {
        $functions = $this->functions();
        $taken = [];
        foreach ($this->files('templates', 'twig') as $file => $area) {
            $twig = (string) file_get_contents($file);
            preg_match_all("~['\"]([a-z]+/[a-z_]+)/([\\w]+)\\.[a-z]+\\.twig~", $twig, $included, \PREG_SET_ORDER);
            foreach ($included as [, $folder, $name]) {
                $taken[$area][self::areaOf($folder)][$name] = $name;
            }
            preg_match_all('~\b('.implode('|', array_keys($functions)).')\(~', $twig, $called);
            foreach ($called[1] as $function) {
                $taken[$area][$functions[$function]][$function] = $function.'()';
            }
            unset($taken[$area][$area]);
        }

        return array_map(self::inWords(...), $taken);
    }

    /** @return array<string, string> the area of each function that templates may call */
    private function functions(): array
    {
        $functions = [];
        foreach ($this->files('src', 'php') as $file => $area) {
            preg_match_all("~new TwigFunction\\(\\s*'(\\w+)'~", (string) file_get_contents($file), $found);
            $functions += array_fill_keys($found[1], $area);
        }

        return $functions;
    }

    private static function tableOf(string $code, string $class): string
    {
        return 1 === preg_match("~ORM\\\\Table\\((?:name: )?'(\\w+)'~", $code, $said)
            ? $said[1]
            : strtolower((string) preg_replace('~(?<=[a-z])[A-Z]~', '_$0', $class));
    }

    private static function areaOf(string $folder): string
    {
        return implode('/', array_map(static fn (string $part): string => str_replace('_', '', ucwords($part, '_')), explode('/', $folder)));
    }

    /**
     * @param array<string, array<string, string>> $byArea
     *
     * @return list<string>
     */
    private static function inWords(array $byArea): array
    {
        ksort($byArea);
        $words = [];
        foreach ($byArea as $area => $things) {
            ksort($things);
            $words[] = $area.': '.implode(', ', $things);
        }

        return $words;
    }

    /** @return iterable<string, string> the area of each file */
    private function files(string $folder, string $ending): iterable
    {
        foreach (glob("{$this->root}/{$folder}/*/*/*.{$ending}") ?: [] as $file) {
            yield $file => self::areaOf(substr(\dirname($file), \strlen("{$this->root}/{$folder}/")));
        }
    }
}
