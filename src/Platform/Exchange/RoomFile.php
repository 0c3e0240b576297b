<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

/** A room's file whose head is known to be right: its sections can be read, more than once where that is needed. */
final class RoomFile
{
    private const TELL_EACH = 10_000;

    /** @var array<string, int> */
    private array $starts;

    /** @var array<string, int> */
    private array $counts = [];

    /** @var array<string, int> */
    private array $lastNumbers = [];

    /**
     * @param \Closure(string, int): void $tell
     *
     * @throws InvalidRoomFile if it is no JSON, no room, or of a newer version
     */
    public function __construct(private readonly JsonFile $json, private readonly RoomFormat $format, private readonly \Closure $tell)
    {
        $this->starts = $this->json->members();
        $this->checkHead();
        $this->lastNumbers = $this->readLastNumbers();
    }

    /** @return iterable<int, array<string, int|float|string|null>> the columns of each row */
    public function rows(Section $section): iterable
    {
        $count = 0;
        foreach ($this->entries($section) as $index => $entry) {
            yield $index => $section->read($entry, $index);
            $this->counts[$section->name] = ++$count;
            if (0 === $count % self::TELL_EACH) {
                ($this->tell)($section->name, $count);
            }
        }
        $this->counts[$section->name] = $count;
    }

    /** @return iterable<int, array<string, int|float|string|null>> the columns of each row of a section */
    public function rowsOf(string $section): iterable
    {
        return $this->rows($this->format->section($section));
    }

    /** @return iterable<int, mixed> */
    public function photos(): iterable
    {
        foreach ($this->json->entries($this->starts['photos'], 'photos') as $index => $entry) {
            yield $index => $entry;
            $this->counts['photos'] = $index + 1;
        }
    }

    /** @return array<string, int> by section */
    public function lastNumbers(): array
    {
        return $this->lastNumbers;
    }

    /** @return array<string, int> how many rows each section has */
    public function counts(): array
    {
        return $this->counts;
    }

    /** Returns the path of a row, by its number. */
    public function path(Section $section, int $id): string
    {
        foreach ($this->entries($section) as $index => $entry) {
            if ($entry instanceof \stdClass && ($entry->id ?? null) === $id) {
                return "{$section->name}[{$index}]";
            }
        }

        return $section->name;
    }

    private function checkHead(): void
    {
        $this->needs('format');
        if (RoomFormat::NAME !== $this->json->value($this->starts['format'])) {
            throw new InvalidRoomFile('format', \sprintf('This is no room of Lottel: its format is not “%s”.', RoomFormat::NAME));
        }
        $this->needs('version');
        $version = $this->json->value($this->starts['version']);
        if (!\is_int($version) || $version < 1) {
            throw new InvalidRoomFile('version', 'This must be a whole number, at least 1.');
        }
        if ($version > RoomFormat::VERSION) {
            throw new InvalidRoomFile('version', \sprintf(
                'This room was written by a newer Lottel (version %d of the file; this one reads %d). Upgrade first.',
                $version,
                RoomFormat::VERSION,
            ));
        }
        $known = ['format', 'version', 'exported_at', 'last_numbers', 'photos', ...array_column($this->format->sections(), 'name')];
        array_map($this->needs(...), array_diff($known, $this->format->since()));
        $unknown = array_diff(array_keys($this->starts), $known);
        if ([] !== $unknown) {
            throw new InvalidRoomFile((string) reset($unknown), 'This field is not known.');
        }
    }

    /** @return iterable<int, mixed> */
    private function entries(Section $section): iterable
    {
        return isset($this->starts[$section->name]) ? $this->json->entries($this->starts[$section->name], $section->name) : [];
    }

    private function needs(string $field): void
    {
        if (!isset($this->starts[$field])) {
            throw new InvalidRoomFile($field, 'This field is missing.');
        }
    }

    /** @return array<string, int> */
    private function readLastNumbers(): array
    {
        $given = $this->json->value($this->starts['last_numbers']);
        if (!$given instanceof \stdClass) {
            throw new InvalidRoomFile('last_numbers', 'This must be an object.');
        }
        $numbers = [];
        $known = array_flip(array_map(static fn (Section $of): string => $of->name, $this->format->sections()));
        foreach (get_object_vars($given) as $name => $number) {
            if (!isset($known[$name]) || !$this->format->section($name)->isNumbered()) {
                throw new InvalidRoomFile("last_numbers.{$name}", 'This field is not known.');
            }
            if (!\is_int($number) || $number < 0 || $number > (FieldKind::Id->most() ?? 0)) {
                throw new InvalidRoomFile("last_numbers.{$name}", 'This must be a whole number from 0 to a million million.');
            }
            $numbers[(string) $name] = $number;
        }

        return $numbers;
    }
}
