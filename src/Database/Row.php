<?php

declare(strict_types=1);

namespace App\Database;

/** One row of an answer, read column by column into typed values. A column of another kind is a fault of ours and is told as one. */
final readonly class Row
{
    /** @param array<string, mixed> $columns */
    public function __construct(private array $columns)
    {
    }

    public function int(string $column): int
    {
        return $this->intOrNull($column) ?? throw $this->fault($column, 'a whole number');
    }

    public function intOrNull(string $column): ?int
    {
        $value = $this->value($column);
        if (null === $value || \is_int($value)) {
            return $value;
        }
        $number = filter_var($value, \FILTER_VALIDATE_INT);

        return false === $number ? throw $this->fault($column, 'a whole number') : $number;
    }

    public function text(string $column): string
    {
        return $this->textOrNull($column) ?? throw $this->fault($column, 'a text');
    }

    public function textOrNull(string $column): ?string
    {
        $value = $this->value($column);

        return null === $value || \is_string($value) ? $value : (\is_int($value) ? (string) $value : throw $this->fault($column, 'a text'));
    }

    public function flag(string $column): bool
    {
        return 0 !== $this->int($column);
    }

    /** A time as it is stored, in UTC. */
    public function time(string $column): \DateTimeImmutable
    {
        return $this->timeOrNull($column) ?? throw $this->fault($column, 'a time');
    }

    public function timeOrNull(string $column): ?\DateTimeImmutable
    {
        $text = $this->textOrNull($column);

        return null === $text ? null : new \DateTimeImmutable($text, new \DateTimeZone('UTC'));
    }

    /**
     * @template T of \BackedEnum
     *
     * @param class-string<T> $of
     *
     * @return T
     */
    public function one(string $column, string $of): \BackedEnum
    {
        return $of::tryFrom($this->text($column)) ?? throw $this->fault($column, $of);
    }

    /**
     * Reads a list that is kept as JSON.
     *
     * @template T of \BackedEnum
     *
     * @param class-string<T> $of
     *
     * @return list<T>
     */
    public function several(string $column, string $of): array
    {
        $values = json_decode($this->text($column), true);

        return array_map(fn (mixed $value): \BackedEnum => (\is_string($value) ? $of::tryFrom($value) : null) ?? throw $this->fault($column, $of), \is_array($values) ? array_values($values) : throw $this->fault($column, 'a list'));
    }

    private function value(string $column): mixed
    {
        return \array_key_exists($column, $this->columns) ? $this->columns[$column] : throw $this->fault($column, 'a column of the answer');
    }

    private function fault(string $column, string $kind): \UnexpectedValueException
    {
        return new \UnexpectedValueException(\sprintf('The column %s is not %s.', $column, $kind));
    }
}
