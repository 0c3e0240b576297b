<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

/**
 * A JSON document that is larger than the memory: an object whose members are plain values, objects, or lists of which one entry at a time
 * is read. Where its members are is found by going through it once.
 */
final class JsonFile
{
    private const CHUNK = 262_144;
    private const MOST_OF_ONE = 48_000_000;
    private const DEPTH = 64;

    /** An object without further objects or lists in it, which can be taken at once. */
    private const FLAT = '/\G\{[^{}\[\]"]*+(?:"(?:[^"\\\\]++|\\\\.)*+"[^{}\[\]"]*+)*+\}/s';

    private string $buffer = '';
    private int $at = 0;
    private int $before = 0;
    private bool $isAtEnd = false;

    /** @param resource $handle that can be sought in */
    public function __construct(private $handle)
    {
    }

    /**
     * Returns where each member's value begins.
     *
     * @return array<string, int> bytes, by name
     *
     * @throws InvalidRoomFile if it is no JSON object, or a member is there twice
     */
    public function members(): array
    {
        $this->seek(0);
        $this->expect('{', 'The document must be a JSON object.');
        $members = [];
        if ('}' === $this->next()) {
            ++$this->at;

            return $members;
        }
        do {
            if ('"' !== $this->next()) {
                $this->broken();
            }
            $name = $this->decode($this->text());
            if (!\is_string($name) || isset($members[$name])) {
                throw new InvalidRoomFile(\is_string($name) ? $name : '', 'This field is there twice.');
            }
            $this->expect(':');
            $this->next();
            $members[$name] = $this->before + $this->at;
            $this->skip();
        } while (',' === $this->oneOf(',}'));
        if (null !== $this->next()) {
            $this->broken('Something stands behind the end of the document.');
        }

        return $members;
    }

    /**
     * Returns a member whole.
     *
     * @throws InvalidRoomFile if it is no JSON
     */
    public function value(int $start): mixed
    {
        $this->seek($start);

        return $this->decode($this->text());
    }

    /**
     * Returns the entries of a list, one after the other.
     *
     * @return iterable<int, mixed>
     *
     * @throws InvalidRoomFile if it is no list, or no JSON
     */
    public function entries(int $start, string $name): iterable
    {
        $this->seek($start);
        if ('[' !== $this->next()) {
            throw new InvalidRoomFile($name, 'This must be a list.');
        }
        ++$this->at;
        if (']' === $this->next()) {
            return;
        }
        $index = 0;
        do {
            $this->next();
            $text = $this->flat() ?? $this->text();
            try {
                $entry = json_decode($text, false, self::DEPTH, \JSON_THROW_ON_ERROR);
            } catch (\JsonException) {
                throw new InvalidRoomFile("{$name}[{$index}]", 'This is not JSON.');
            }
            yield $index++ => $entry;
        } while (',' === $this->oneOf(',]'));
    }

    private function decode(string $text): mixed
    {
        try {
            return json_decode($text, false, self::DEPTH, \JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            $this->broken();
        }
    }

    /** Returns the flat object that begins here, if all of it has been read, and goes behind it. */
    private function flat(): ?string
    {
        if (1 !== preg_match(self::FLAT, $this->buffer, $found, 0, $this->at)) {
            return null;
        }
        $this->at += \strlen($found[0]);

        return $found[0];
    }

    /** Returns the value that begins here, as text, and goes behind it. */
    private function text(): string
    {
        $start = $this->before + $this->at;
        $text = '';
        $this->skip(static function (string $part) use (&$text, $start): void {
            if (\strlen($text) + \strlen($part) > self::MOST_OF_ONE) {
                throw new InvalidRoomFile('', \sprintf('What begins at byte %d is larger than %d MB.', $start, self::MOST_OF_ONE / 1_000_000));
            }
            $text .= $part;
        });

        return $text;
    }

    /**
     * Goes behind the value that begins here.
     *
     * @param (callable(string): void)|null $take is given what is passed, part by part
     */
    private function skip(?callable $take = null): void
    {
        $depth = 0;
        $first = $this->next();
        if (null === $first) {
            $this->endsEarly();
        }
        if (!\in_array($first, ['{', '[', '"'], true)) {
            $this->pass(",]} \t\r\n", $take);

            return;
        }
        do {
            while (null === $take && $depth > 0 && null !== $this->flat()) {
                $this->at += strspn($this->buffer, ", \t\r\n", $this->at);
            }
            $this->pass('"{}[]', $take);
            $char = $this->char();
            match ($char) {
                '{', '[' => ++$depth,
                '}', ']' => --$depth,
                default => null,
            };
            $this->give($take, $char);
            ++$this->at;
            if ('"' === $char) {
                $this->passString($take);
            }
        } while ($depth > 0);
    }

    /** @param (callable(string): void)|null $take */
    private function passString(?callable $take): void
    {
        while (true) {
            $this->pass('"\\', $take);
            $char = $this->char();
            $this->give($take, $char);
            ++$this->at;
            if ('"' === $char) {
                return;
            }
            $escaped = $this->char();
            $this->give($take, $escaped);
            ++$this->at;
        }
    }

    /**
     * Goes to the next of these characters, or to the end of a document that ends in a number.
     *
     * @param (callable(string): void)|null $take
     */
    private function pass(string $until, ?callable $take): void
    {
        while (true) {
            $length = strcspn($this->buffer, $until, $this->at);
            if ($length > 0) {
                $this->give($take, substr($this->buffer, $this->at, $length));
                $this->at += $length;
            }
            if ($this->at < \strlen($this->buffer) || !$this->fill()) {
                return;
            }
        }
    }

    /** @param (callable(string): void)|null $take */
    private function give(?callable $take, string $part): void
    {
        if (null !== $take) {
            $take($part);
        }
    }

    private function char(): string
    {
        if ($this->at >= \strlen($this->buffer) && !$this->fill()) {
            $this->endsEarly();
        }

        return $this->buffer[$this->at];
    }

    /** Returns the next character that is no white space, without going behind it. */
    private function next(): ?string
    {
        do {
            $this->at += strspn($this->buffer, " \t\r\n", $this->at);
        } while ($this->at >= \strlen($this->buffer) && $this->fill());

        return $this->buffer[$this->at] ?? null;
    }

    private function expect(string $char, string $else = 'This is not JSON.'): void
    {
        if ($char !== $this->next()) {
            null === $this->next() ? $this->endsEarly() : $this->broken($else);
        }
        ++$this->at;
    }

    private function oneOf(string $chars): string
    {
        $next = $this->next();
        if (null === $next) {
            $this->endsEarly();
        }
        if (!str_contains($chars, $next)) {
            $this->broken();
        }
        ++$this->at;

        return $next;
    }

    private function fill(): bool
    {
        if ($this->isAtEnd) {
            return false;
        }
        $more = fread($this->handle, self::CHUNK);
        if (false === $more || '' === $more) {
            $this->isAtEnd = true;

            return false;
        }
        $this->before += $this->at;
        $this->buffer = substr($this->buffer, $this->at).$more;
        $this->at = 0;

        return true;
    }

    private function seek(int $to): void
    {
        fseek($this->handle, $to);
        [$this->buffer, $this->at, $this->before, $this->isAtEnd] = ['', 0, $to, false];
    }

    private function endsEarly(): never
    {
        throw new InvalidRoomFile('', \sprintf('The document ends in the middle, after %s bytes.', number_format($this->before + \strlen($this->buffer))));
    }

    private function broken(string $message = 'This is not JSON.'): never
    {
        throw new InvalidRoomFile('', \sprintf('%s (byte %s)', $message, number_format($this->before + $this->at + 1)));
    }
}
