<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

/** A part of a room's file: rows of one table. */
final readonly class Section
{
    /**
     * @param list<Field> $fields
     * @param bool $isSince whether an earlier file has none of it
     */
    public function __construct(public string $name, public string $table, public string $says, public array $fields, public bool $isSince = false)
    {
    }

    public function isNumbered(): bool
    {
        return FieldKind::Id === $this->fields[0]->kind;
    }

    /** The columns by which its rows are put in order: their number, or what makes them differ. */
    public function order(): string
    {
        return $this->isNumbered() ? 'id' : implode(', ', array_map(
            static fn (Field $field): string => $field->column,
            array_filter($this->fields, static fn (Field $field): bool => 'id' === $field->column || FieldKind::Reference === $field->kind),
        ));
    }

    /**
     * @param array<string, mixed> $columns
     *
     * @return array<string, mixed>
     */
    public function written(array $columns): array
    {
        $row = [];
        foreach ($this->fields as $field) {
            $row[$field->name] = $field->written($columns[$field->column]);
        }

        return $row;
    }

    /**
     * @return array<string, int|float|string|null> its columns
     *
     * @throws InvalidRoomFile with the path of what is wrong
     */
    public function read(mixed $value, int $index): array
    {
        $path = "{$this->name}[{$index}]";
        if (!$value instanceof \stdClass) {
            throw new InvalidRoomFile($path, 'This must be an object.');
        }
        $given = get_object_vars($value);
        $columns = [];
        foreach ($this->fields as $field) {
            if (!\array_key_exists($field->name, $given)) {
                $given[$field->name] = match ($field->otherwise) {
                    null => throw new InvalidRoomFile("{$path}.{$field->name}", 'This field is missing.'),
                    Field::SAID_EARLIER => SaidEarlier::of($this->name, $field->name, $given),
                    default => json_decode($field->otherwise, false, 8, \JSON_THROW_ON_ERROR),
                };
            }
            $columns[$field->column] = $field->read($given[$field->name], $path);
            Meanings::check($this->name, $field->name, self::plain($given[$field->name]), "{$path}.{$field->name}");
        }
        $unknown = array_diff_key($given, array_flip(array_map(static fn (Field $field): string => $field->name, $this->fields)));
        if ([] !== $unknown) {
            throw new InvalidRoomFile($path.'.'.array_key_first($unknown), 'This field is not known.');
        }

        return $columns;
    }

    /** Objects as arrays, as the application reads them out of the database. */
    private static function plain(mixed $value): mixed
    {
        return \is_array($value) || $value instanceof \stdClass ? json_decode((string) json_encode($value), true) : $value;
    }
}
