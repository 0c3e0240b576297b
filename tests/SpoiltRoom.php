<?php

declare(strict_types=1);

namespace App\Tests;

/** A room's document in which something is to be wrong. */
final class SpoiltRoom
{
    /** @param array<mixed> $document */
    private function __construct(private array $document)
    {
    }

    public static function of(string $json): self
    {
        $document = json_decode($json, true);

        return new self(\is_array($document) ? $document : []);
    }

    public function json(): string
    {
        return json_encode($this->document, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @param string $path such as `items.3.name` */
    public function set(string $path, mixed $value): self
    {
        $at = &$this->document;
        foreach (explode('.', $path) as $key) {
            if (!\is_array($at)) {
                throw new \LogicException("There is no {$path}.");
            }
            $at = &$at[$key];
        }
        $at = $value;

        return $this;
    }

    public function drop(string $path): self
    {
        $keys = explode('.', $path);
        $last = array_pop($keys);
        $within = In::of($this->document, ...$keys);
        if (!\is_array($within) || !\array_key_exists($last, $within)) {
            throw new \LogicException("There is no {$path}.");
        }
        unset($within[$last]);
        if ([] === $keys) {
            $this->document = $within;

            return $this;
        }

        return $this->set(implode('.', $keys), $within);
    }

    public function get(string $path): mixed
    {
        return In::of($this->document, ...explode('.', $path));
    }

    public function number(string $path): int
    {
        $value = $this->get($path);

        return \is_int($value) ? $value : throw new \LogicException("{$path} is no number.");
    }

    /** @return array<int, array<mixed>> rows by index in which a field has one of these values */
    public function where(string $section, string $field, mixed ...$values): array
    {
        return array_filter($this->rows($section), static fn (array $row): bool => \in_array($row[$field] ?? null, $values, true));
    }

    /** Where the first row is in which a field has one of these values. */
    public function first(string $section, string $field, mixed ...$values): int
    {
        return array_key_first($this->where($section, $field, ...$values)) ?? throw new \LogicException("No {$field} of {$section} is so.");
    }

    /** @param callable(array<mixed>): bool $isKept */
    public function keep(string $section, callable $isKept): self
    {
        return $this->set($section, array_values(array_filter($this->rows($section), $isKept)));
    }

    /** @return array<int, array<mixed>> */
    public function rows(string $section): array
    {
        $rows = $this->document[$section] ?? null;

        return array_map(static fn (mixed $row): array => \is_array($row) ? $row : [], \is_array($rows) ? array_values($rows) : []);
    }
}
