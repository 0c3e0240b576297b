<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use Symfony\Component\Yaml\Yaml;

/** Which sections and fields a room's file has, as the parts of the areas in config/room_format say. */
final class RoomFormat
{
    public const NAME = 'lottel-room';
    public const VERSION = 1;

    /** Tables that are not in it: they follow from what is, or belong to one installation. */
    public const LEFT_OUT = [
        'balance' => 'follows from the movements',
        'finder' => 'follows from things and places',
        'current_step' => 'is empty between steps',
        'part_done' => 'is of no use once a step is done',
        'device' => 'belongs to one installation',
        'device_code' => 'belongs to one installation',
        'session' => 'belongs to a browser at one installation',
        'sign_in_failure' => 'belongs to one installation',
        'doctrine_migration_versions' => 'belongs to the database',
    ];

    /** Columns that are not in it, by table: they follow from the movements. */
    public const FOLLOWS = ['item' => ['used_at', 'since']];

    /** @var list<Section>|null */
    private ?array $sections = null;

    public function __construct(private readonly string $projectDir)
    {
    }

    /** @return list<Section> in the order of the file */
    public function sections(): array
    {
        return $this->sections ??= $this->load();
    }

    public function section(string $name): Section
    {
        foreach ($this->sections() as $section) {
            if ($section->name === $name) {
                return $section;
            }
        }
        throw new \LogicException("There is no section {$name}.");
    }

    /** @return list<string> the sections that an earlier file has not */
    public function since(): array
    {
        $since = array_filter($this->sections(), static fn (Section $section): bool => $section->isSince);

        return array_values(array_map(static fn (Section $section): string => $section->name, $since));
    }

    /** @return array<string, mixed> the file's shape as a JSON Schema, draft 2020-12 */
    public function schema(): array
    {
        $sections = [];
        foreach ($this->sections() as $section) {
            $fields = $required = [];
            foreach ($section->fields as $field) {
                $fields[$field->name] = $field->schema();
                $required = null === $field->otherwise ? [...$required, $field->name] : $required;
            }
            $sections[$section->name] = [
                'description' => $section->says,
                'type' => 'array',
                'items' => ['type' => 'object', 'properties' => $fields, 'required' => $required, 'additionalProperties' => false],
            ];
        }
        $numbered = array_filter($this->sections(), static fn (Section $section): bool => $section->isNumbered());
        $last = array_fill_keys(array_map(static fn (Section $section): string => $section->name, $numbered), ['type' => 'integer', 'minimum' => 0]);
        $photo = ['name' => ['type' => 'string', 'pattern' => FieldKind::Photo->pattern()], 'jpeg' => ['type' => 'string', 'contentEncoding' => 'base64']];
        $properties = [
            'format' => ['const' => self::NAME],
            'version' => ['const' => self::VERSION],
            'exported_at' => ['type' => 'string', 'format' => 'date-time'],
            'last_numbers' => [
                'description' => 'The last number that was given to a row of each section; numbers are not given twice.',
                'type' => 'object',
                'properties' => $last,
                'additionalProperties' => false,
            ],
            ...$sections,
            'photos' => [
                'description' => 'The photos that the rows speak of.',
                'type' => 'array',
                'items' => ['type' => 'object', 'properties' => $photo, 'required' => ['name', 'jpeg'], 'additionalProperties' => false],
            ],
        ];

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => 'A room of Lottel',
            'description' => 'A whole room in one file, as lottel:export writes it and lottel:import reads it. The laws of the log hold in it.',
            'type' => 'object',
            'properties' => $properties,
            'required' => array_values(array_diff(array_keys($properties), $this->since())),
            'additionalProperties' => false,
        ];
    }

    /** @return list<Section> */
    private function load(): array
    {
        $sections = [];
        foreach (glob($this->projectDir.'/config/room_format/*.yaml') ?: [] as $area) {
            /** @var array<string, array{table: string, says: string, else?: string, fields: array<string, string>}> $said */
            $said = Yaml::parseFile($area);
            foreach ($said as $name => $section) {
                $fields = array_map(Field::of(...), array_keys($section['fields']), array_values($section['fields']));
                $sections[] = new Section($name, $section['table'], $section['says'], $fields, isset($section['else']));
            }
        }

        return $sections;
    }
}
