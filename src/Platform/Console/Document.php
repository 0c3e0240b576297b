<?php

declare(strict_types=1);

namespace App\Platform\Console;

/** A part of a JSON document together with its path, read into typed values. */
final readonly class Document
{
    private const MOST_BYTES = 8_000_000;
    private const MOST_DEPTH = 32;

    /** @param mixed $value as json_decode made it */
    private function __construct(private mixed $value, public string $path)
    {
    }

    /** @throws InvalidDocument if it is not JSON, or not an object */
    public static function parse(string $json): self
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new InvalidDocument('', 'The document is longer than 8 MB.');
        }
        try {
            $value = json_decode($json, false, self::MOST_DEPTH, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $broken) {
            throw new InvalidDocument('', 'This is not JSON: '.$broken->getMessage().'.');
        }
        if (!$value instanceof \stdClass) {
            throw new InvalidDocument('', 'The document must be a JSON object.');
        }

        return new self($value, '');
    }

    /** Whether a field is there, null counting as there. */
    public function has(string $field): bool
    {
        return $this->value instanceof \stdClass && property_exists($this->value, $field);
    }

    public function isNull(): bool
    {
        return null === $this->value;
    }

    /** @throws InvalidDocument if it is missing */
    public function get(string $field): self
    {
        $path = '' === $this->path ? $field : $this->path.'.'.$field;
        if (!$this->value instanceof \stdClass || !property_exists($this->value, $field)) {
            throw new InvalidDocument($path, 'This field is missing.');
        }

        return new self($this->value->{$field}, $path);
    }

    public function object(): self
    {
        if (!$this->value instanceof \stdClass) {
            $this->refuse('This must be an object.');
        }

        return $this;
    }

    /** @return list<string> the names of its fields */
    public function fields(): array
    {
        return array_map(strval(...), array_keys((array) $this->object()->value));
    }

    /** @return list<self> */
    public function items(): array
    {
        if (!\is_array($this->value)) {
            $this->refuse('This must be a list.');
        }
        $items = [];
        foreach (array_values($this->value) as $index => $value) {
            $items[] = new self($value, $this->path.'['.$index.']');
        }

        return $items;
    }

    public function string(): string
    {
        if (!\is_string($this->value)) {
            $this->refuse('This must be text.');
        }

        return $this->value;
    }

    public function bool(): bool
    {
        if (!\is_bool($this->value)) {
            $this->refuse('This must be true or false.');
        }

        return $this->value;
    }

    public function number(): float
    {
        if (!\is_int($this->value) && !\is_float($this->value)) {
            $this->refuse('This must be a number.');
        }
        if (!is_finite((float) $this->value)) {
            $this->refuse('This number is not finite.');
        }

        return (float) $this->value;
    }

    /** A whole number; 3.0 is one too. */
    public function whole(int $least, int $most): int
    {
        $number = $this->number();
        if (floor($number) !== $number || $number < $least || $number > $most) {
            $this->refuse(\sprintf('This must be a whole number from %d to %d.', $least, $most));
        }

        return (int) $number;
    }

    /**
     * One of the words.
     *
     * @param list<string> $words
     */
    public function word(array $words): string
    {
        $word = $this->string();
        if (!\in_array($word, $words, true)) {
            $this->refuse('This must be one of '.implode(', ', $words).'.');
        }

        return $word;
    }

    /**
     * A length that is a number or a fraction in text, exactly as it is written.
     *
     * @return Ratio in the document's unit
     */
    public function length(): Ratio
    {
        $ratio = match (true) {
            \is_string($this->value) => Ratio::parse($this->value),
            default => Ratio::ofNumber($this->number()),
        };
        if (null === $ratio) {
            $this->refuse('This is not a length. Write it like 4.25 or "4 1/4".');
        }

        return $ratio;
    }

    public function positiveLength(): Ratio
    {
        $ratio = $this->length();
        if ($ratio->numerator <= 0) {
            $this->refuse('This length must be above zero.');
        }

        return $ratio;
    }

    public function lengthFromZero(): Ratio
    {
        $ratio = $this->length();
        if ($ratio->numerator < 0) {
            $this->refuse('This length must not be negative.');
        }

        return $ratio;
    }

    /** @throws InvalidDocument always */
    public function refuse(string $message): never
    {
        throw new InvalidDocument($this->path, $message);
    }
}
