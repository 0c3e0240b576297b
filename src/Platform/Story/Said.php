<?php

declare(strict_types=1);

namespace App\Platform\Story;

/** A part of a demo file, read word by word. What is missing where it has to be is told. */
final readonly class Said
{
    /** @param array<mixed> $said */
    public function __construct(private array $said)
    {
    }

    public static function unknown(string $name): \LogicException
    {
        return new \LogicException("The demo room has no “{$name}”.");
    }

    /** @param array<string, int|string> $more */
    public function with(array $more): self
    {
        return new self($more + $this->said);
    }

    public function has(string $key): bool
    {
        return isset($this->said[$key]);
    }

    public function text(string $key, ?string $otherwise = null): string
    {
        $value = $this->said[$key] ?? $otherwise;

        return \is_scalar($value) ? (string) $value : throw $this->missing($key);
    }

    public function int(string $key, ?int $otherwise = null): int
    {
        $value = $this->said[$key] ?? $otherwise;

        return \is_int($value) ? $value : throw $this->missing($key);
    }

    /** @return array<string, string> what stands under a key, by name */
    public function named(string $key): array
    {
        $named = [];
        foreach ($this->under($key) as $name => $value) {
            $named[(string) $name] = \is_scalar($value) ? (string) $value : throw $this->missing($key);
        }

        return $named;
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return array_values($this->named($key));
    }

    /** @return list<int> */
    public function ints(string $key): array
    {
        return array_map(intval(...), $this->texts($key));
    }

    public function part(string $key): self
    {
        return new self($this->under($key));
    }

    /** @return array<string, self> */
    public function parts(string $key): array
    {
        $parts = [];
        foreach ($this->under($key) as $name => $value) {
            $parts[(string) $name] = new self(\is_array($value) ? $value : throw $this->missing($key));
        }

        return $parts;
    }

    /** @return list<array{int, self}> its parts, each with its day */
    public function byDay(string $key): array
    {
        return array_map(static fn (self $part): array => [$part->int('day'), $part], array_values($this->parts($key)));
    }

    /** @return array<mixed> */
    public function all(): array
    {
        return $this->said;
    }

    /** @return array<mixed> */
    private function under(string $key): array
    {
        $value = $this->said[$key] ?? [];

        return \is_array($value) ? $value : throw $this->missing($key);
    }

    private function missing(string $key): \UnexpectedValueException
    {
        return new \UnexpectedValueException(\sprintf('The demo room does not say “%s” where it has to.', $key));
    }
}
