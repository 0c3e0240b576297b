<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use Lottel\Core\Words\Printable;

/** One field of a room's file, and the column that it stands for. */
final readonly class Field
{
    /** What stands behind “else” where an earlier file says it in other words. */
    public const SAID_EARLIER = 'as earlier';

    private const JSON = \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION;

    /**
     * @param list<string> $words what it may say, where it is one of several words
     * @param int|null $least where it is a number; of a text its $most characters
     * @param string $of the section whose rows it points at
     * @param string|null $otherwise what it is, as JSON, where an earlier file does not say it, or that SaidEarlier knows; null where it has to be said
     */
    private function __construct(
        public string $name,
        public string $column,
        public FieldKind $kind,
        public bool $mayBeNull,
        public ?int $least,
        public ?int $most,
        public array $words,
        public string $of,
        public ?string $otherwise = null,
    ) {
    }

    /** @param string $said as it stands in config/room_format */
    public static function of(string $name, string $said): self
    {
        $otherwise = str_contains($said, ' else ') ? substr($said, (int) strpos($said, ' else ') + 6) : null;
        $said = explode(' else ', $said)[0];
        $parts = explode(' as ', $said);
        [$said, $column] = [$parts[0], $parts[1] ?? null];
        $mayBeNull = str_ends_with($said, '?');
        $parts = explode(' ', rtrim($said, '?'));
        $kind = FieldKind::from(array_shift($parts));
        $isLimited = !\in_array($kind, [FieldKind::Reference, FieldKind::Word], true);
        [$first, $second] = [$parts[0] ?? null, $parts[1] ?? null];
        $isText = FieldKind::Text === $kind;

        return new self(
            $name,
            $column ?? (FieldKind::Reference === $kind ? $name.'_id' : $name),
            $kind,
            $mayBeNull,
            FieldKind::Id === $kind ? 1 : ($isLimited && !$isText && null !== $first ? (int) $first : null),
            $isText ? (null === $first ? null : (int) $first) : (null === $second ? null : (int) $second),
            FieldKind::Word === $kind ? self::words((string) $first) : [],
            FieldKind::Reference === $kind ? (string) $first : '',
            $otherwise,
        );
    }

    /** Returns what a column holds as it is written into the file. */
    public function written(mixed $stored): mixed
    {
        return match (true) {
            null === $stored => null,
            FieldKind::Yes === $this->kind => 1 === (int) self::scalar($stored),
            FieldKind::Moment === $this->kind => str_replace(' ', 'T', substr(self::scalar($stored), 0, 19)).'Z',
            FieldKind::Number === $this->kind => (float) self::scalar($stored),
            FieldKind::Json === $this->kind => json_decode(self::scalar($stored), false, 64, \JSON_THROW_ON_ERROR),
            $this->kind->isWhole() => (int) self::scalar($stored),
            default => self::scalar($stored),
        };
    }

    /**
     * Returns what the column is to hold.
     *
     * @throws InvalidRoomFile if the value is of another kind, or outside its limits
     */
    public function read(mixed $value, string $path): int|float|string|null
    {
        $path .= '.'.$this->name;

        return match (true) {
            null === $value => $this->mayBeNull ? null : throw new InvalidRoomFile($path, 'This must not be null.'),
            FieldKind::Yes === $this->kind => \is_bool($value) ? (int) $value : throw new InvalidRoomFile($path, 'This must be true or false.'),
            FieldKind::Number === $this->kind => $this->number($value, $path),
            FieldKind::Json === $this->kind => $this->json($value, $path),
            $this->kind->isWhole() => $this->whole($value, $path),
            default => $this->text($value, $path),
        };
    }

    /** @return array<string, mixed> as JSON Schema says it */
    public function schema(): array
    {
        $type = match (true) {
            FieldKind::Yes === $this->kind => 'boolean',
            FieldKind::Number === $this->kind => 'number',
            FieldKind::Json === $this->kind => null,
            $this->kind->isWhole() => 'integer',
            default => 'string',
        };
        $limits = 'string' === $type ? ['maxLength' => $this->most] : ['minimum' => $this->least, 'maximum' => $this->most ?? $this->kind->most()];
        $words = [] === $this->words ? null : [...$this->words, ...($this->mayBeNull ? [null] : [])];

        return array_filter([
            'description' => $this->description(),
            'type' => $this->mayBeNull && null !== $type ? [$type, 'null'] : ($type ?? ['object', 'array', ...($this->mayBeNull ? ['null'] : [])]),
            'enum' => $words,
            'pattern' => $this->kind->pattern(),
            ...$limits,
        ], static fn (mixed $value): bool => null !== $value);
    }

    private function description(): ?string
    {
        return match ($this->kind) {
            FieldKind::Id => 'Its number.',
            FieldKind::Reference => "The number of one of the {$this->of}.",
            FieldKind::Ticks => 'A length in ticks; 1 tick = 1/8128 in = 3.125 µm.',
            FieldKind::Grams => 'In grams.',
            FieldKind::Milligrams => 'In milligrams to the square metre.',
            FieldKind::Cents => 'Money, in whole cents.',
            FieldKind::Moment => 'A moment, in UTC.',
            FieldKind::Zone => 'A time zone of the tz database.',
            FieldKind::Photo => 'The name of one of the photos.',
            default => null,
        };
    }

    private function whole(mixed $value, string $path): int
    {
        $number = \is_float($value) && floor($value) === $value && abs($value) < 2 ** 53 ? (int) $value : $value;
        if (!\is_int($number)) {
            throw new InvalidRoomFile($path, 'This must be a whole number.');
        }
        $most = $this->most ?? $this->kind->most();
        if ($number < ($this->least ?? $number) || $number > ($most ?? $number)) {
            $limits = null === $most ? \sprintf('at least %d', $this->least) : \sprintf(
                'from %s to %d',
                null === $this->least ? 'any' : (string) $this->least,
                $most,
            );
            throw new InvalidRoomFile($path, "This must be a whole number {$limits}.");
        }

        return $number;
    }

    private function number(mixed $value, string $path): float
    {
        if ((!\is_int($value) && !\is_float($value)) || !is_finite((float) $value)) {
            throw new InvalidRoomFile($path, 'This must be a number.');
        }

        return (float) $value;
    }

    private function json(mixed $value, string $path): string
    {
        if (!\is_array($value) && !$value instanceof \stdClass) {
            throw new InvalidRoomFile($path, 'This must be a list or an object.');
        }

        return json_encode($value, self::JSON);
    }

    private function text(mixed $value, string $path): string
    {
        if (!\is_string($value)) {
            throw new InvalidRoomFile($path, 'This must be text.');
        }
        if ([] !== $this->words && !\in_array($value, $this->words, true)) {
            throw new InvalidRoomFile($path, \sprintf('This must be one of: %s.', implode(', ', $this->words)));
        }
        if (null !== $this->most && mb_strlen($value) > $this->most) {
            throw new InvalidRoomFile($path, \sprintf('This must not be longer than %d characters.', $this->most));
        }
        if (!Printable::is($value)) {
            throw new InvalidRoomFile($path, 'There are characters in this that cannot be printed.');
        }
        $pattern = $this->kind->pattern();
        $isOf = null === $pattern || 1 === preg_match("~{$pattern}~D", $value);
        $isDate = match ($this->kind) {
            FieldKind::Moment, FieldKind::Day => $isOf && checkdate((int) substr($value, 5, 2), (int) substr($value, 8, 2), (int) substr($value, 0, 4)),
            FieldKind::Zone => \in_array($value, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true),
            default => true,
        };
        if (!$isOf || !$isDate) {
            throw new InvalidRoomFile($path, $this->kind->wanted());
        }

        return FieldKind::Moment === $this->kind ? str_replace(['T', 'Z'], [' ', ''], $value) : $value;
    }

    /** @return list<string> */
    private static function words(string $enum): array
    {
        if (!is_a($enum, \BackedEnum::class, true)) {
            throw new \LogicException("{$enum} is no enumeration.");
        }

        return array_map(static fn (\BackedEnum $word): string => (string) $word->value, $enum::cases());
    }

    private static function scalar(mixed $stored): string
    {
        return \is_scalar($stored) ? (string) $stored : throw new \LogicException('A column holds no plain value.');
    }
}
