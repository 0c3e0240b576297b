<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use App\Platform\Database\Row;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Furniture\Address;

/** Which place a list means: by its address, by its name where only one has it, or as a person has said. */
final readonly class PlacesOfList
{
    public function __construct(private Connection $database)
    {
    }

    /** @return callable(string): ?int the number of a place by what a list calls it; 0 for what is not filed, null where nobody knows it */
    public function finder(ImportedList $list): callable
    {
        [$byAddress, $byName] = $this->known();
        $said = $list->places;

        return static function (string $text) use ($byAddress, $byName, $said): ?int {
            $plain = mb_strtolower(trim($text));
            if ('' === $plain) {
                return 0;
            }
            if (isset($said[$plain])) {
                return '' === $said[$plain] ? 0 : $byAddress[$said[$plain]] ?? null;
            }

            $beginning = (string) preg_replace('/[\s,:(–-].*$/u', '', $text);

            return $byAddress[Address::asTyped($text)] ?? $byName[$plain] ?? $byAddress[Address::asTyped($beginning)] ?? null;
        };
    }

    /**
     * @param list<int> $places
     *
     * @return array<int, string> what they are called, by their number
     */
    public function addresses(array $places): array
    {
        $rows = $this->database->fetchAllAssociative('SELECT id, address FROM place WHERE id IN (?)', [$places], [ArrayParameterType::INTEGER]);
        $addresses = [];
        foreach (Row::each($rows, static fn (Row $row): Row => $row) as $row) {
            $addresses[$row->int('id')] = $row->text('address');
        }

        return $addresses;
    }

    /** @return array{array<string, int>, array<string, int>} */
    private function known(): array
    {
        $byAddress = $byName = $twice = [];
        foreach ($this->database->iterateAssociative("SELECT id, address, name FROM place WHERE nature = 'storage' AND retired_at IS NULL") as $columns) {
            $row = new Row($columns);
            $name = mb_strtolower($row->text('name'));
            $byAddress[$row->text('address')] = $row->int('id');
            $twice += isset($byName[$name]) ? [$name => true] : [];
            $byName[$name] = $row->int('id');
        }

        return [$byAddress, array_diff_key($byName, $twice, ['' => true])];
    }
}
