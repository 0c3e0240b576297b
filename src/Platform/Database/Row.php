<?php

declare(strict_types=1);

namespace App\Platform\Database;

use Lottel\Core\Furniture\Box;
use Lottel\Core\Measure\Length;

/** One row of an answer, read column by column into typed values. A column of another kind is a fault of ours and is told as one. */
final readonly class Row
{
    /**
     * @template T
     *
     * @param list<array<string, mixed>> $rows
     * @param callable(self): T $build
     *
     * @return list<T>
     */
    public static function each(array $rows, callable $build): array
    {
        return array_map(static fn (array $row): mixed => $build(new self($row)), $rows);
    }

    /** @param array<string, mixed> $columns */
    public function __construct(private array $columns)
    {
    }

    /** An answer of one number; 0 where there is none. */
    public static function number(mixed $answer): int
    {
        return false === $answer ? 0 : (new self(['answer' => $answer]))->intOrNull('answer') ?? 0;
    }

    /**
     * Answers of one column.
     *
     * @param list<mixed> $answers
     *
     * @return list<string>
     */
    public static function words(array $answers): array
    {
        return array_map(static fn (mixed $answer): string => self::word($answer), $answers);
    }

    /** An answer of one text; empty where there is none. */
    public static function word(mixed $answer): string
    {
        return false === $answer ? '' : (new self(['answer' => $answer]))->textOrNull('answer') ?? '';
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
     * @template T of \BackedEnum
     *
     * @param class-string<T> $of
     *
     * @return T|null where the column is empty
     */
    public function oneOrNull(string $column, string $of): ?\BackedEnum
    {
        return null === $this->textOrNull($column) ? null : $this->one($column, $of);
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
        return array_map(
            fn (mixed $value): \BackedEnum => (\is_string($value) ? $of::tryFrom($value) : null) ?? throw $this->fault($column, $of),
            array_values($this->json($column)),
        );
    }

    public function lengthOrNull(string $column): ?Length
    {
        $ticks = $this->intOrNull($column);

        return null === $ticks ? null : Length::ofTicks($ticks);
    }

    /** A box of three sides in ticks, null where one of them is not known. */
    public function box(string $width, string $height, string $depth): ?Box
    {
        $sides = [$this->lengthOrNull($width), $this->lengthOrNull($height), $this->lengthOrNull($depth)];

        return null === $sides[0] || null === $sides[1] || null === $sides[2] ? null : new Box($sides[0], $sides[1], $sides[2]);
    }

    /** @return list<list<array{int, int}>> rings of corners */
    public function rings(string $column): array
    {
        $decoded = json_decode($this->textOrNull($column) ?? '[]', true);

        return array_map(fn (mixed $ring): array => $this->pairsOf($ring, $column), \is_array($decoded) ? array_values($decoded) : []);
    }

    /** @return list<array{int, int}> pairs of whole numbers */
    public function pairs(string $column): array
    {
        return $this->pairsOf(json_decode($this->textOrNull($column) ?? '[]', true), $column);
    }

    /** @return list<array{int, int}> */
    private function pairsOf(mixed $decoded, string $column): array
    {
        $pairs = [];
        foreach (\is_array($decoded) ? $decoded : [] as $pair) {
            [$one, $other] = \is_array($pair) ? $pair + [null, null] : [null, null];
            $pairs[] = \is_int($one) && \is_int($other) ? [$one, $other] : throw $this->fault($column, 'pairs of whole numbers');
        }

        return $pairs;
    }

    /** @return list<string> a list of texts that is kept as JSON */
    public function texts(string $column): array
    {
        return array_values(array_filter($this->json($column), is_string(...)));
    }

    /** @return array<string, string> texts by name that are kept as JSON */
    public function named(string $column): array
    {
        $named = [];
        foreach ($this->json($column) as $name => $text) {
            if (\is_string($text)) {
                $named[(string) $name] = $text;
            }
        }

        return $named;
    }

    /** @return array<mixed> */
    private function json(string $column): array
    {
        $values = json_decode($this->text($column), true);

        return \is_array($values) ? $values : throw $this->fault($column, 'a list');
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
