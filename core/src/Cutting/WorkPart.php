<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * A part of a piece of stock on the cutting table: one of the pieces, or nothing yet, or cut in two; a cut is made, or only planned.
 * A part is named by its way from the whole: `1` is the whole, `1.1` the left (or upper) part of its cut, `1.2` the other.
 * Lengths in ticks.
 */
final readonly class WorkPart
{
    /** @param int|null $piece which piece it is, if it is one */
    private function __construct(
        public int $width,
        public int $height,
        public ?int $piece = null,
        public bool $isTurned = false,
        public bool $isCutAlongX = false,
        public bool $isMade = false,
        public ?self $first = null,
        public ?self $second = null,
    ) {
    }

    /** @throws RefusedCut if a side is nothing */
    public static function whole(int $width, int $height): self
    {
        return $width > 0 && $height > 0 ? new self($width, $height) : throw RefusedCut::partIsNothing();
    }

    /**
     * Returns a part as a plan has it, with no cut made yet.
     *
     * @param list<int> $pieces what the plan's pieces are called here, by their number in the plan
     */
    public static function planned(SheetPart $part, array $pieces): self
    {
        if (null === $part->first || null === $part->second) {
            return new self($part->width, $part->height, null === $part->piece ? null : $pieces[$part->piece], $part->isTurned);
        }

        return new self(
            $part->width,
            $part->height,
            isCutAlongX: $part->isCutAlongX,
            first: self::planned($part->first, $pieces),
            second: self::planned($part->second, $pieces),
        );
    }

    /** @throws RefusedCut if it is not inside the part */
    public function cutAt(bool $alongX, int $at, bool $isMade): self
    {
        if ($at <= 0 || $at >= ($alongX ? $this->width : $this->height)) {
            throw RefusedCut::isOutside();
        }

        return new self(
            $this->width,
            $this->height,
            isCutAlongX: $alongX,
            isMade: $isMade,
            first: new self($alongX ? $at : $this->width, $alongX ? $this->height : $at),
            second: new self($alongX ? $this->width - $at : $this->width, $alongX ? $this->height : $this->height - $at),
        );
    }

    public function asPiece(int $piece, bool $isTurned): self
    {
        return new self($this->width, $this->height, $piece, $isTurned);
    }

    /** Returns it with its planned cut made. */
    public function made(): self
    {
        return new self($this->width, $this->height, isCutAlongX: $this->isCutAlongX, isMade: true, first: $this->first, second: $this->second);
    }

    /** Whether it is cut, or is to be. */
    public function isCut(): bool
    {
        return null !== $this->first;
    }

    /** Whether it holds nothing and nothing is to be cut from it. */
    public function isFree(): bool
    {
        return null === $this->piece && null === $this->first;
    }

    /** @throws RefusedCut if there is no such part */
    public function named(string $name): self
    {
        $part = $this;
        foreach (self::way($name) as $turn) {
            $part = ('1' === $turn ? $part->first : $part->second) ?? throw RefusedCut::isNotInHand();
        }

        return $part;
    }

    /**
     * Returns the whole with one part replaced by another of the same size.
     *
     * @throws RefusedCut if there is no such part, or the sizes differ
     */
    public function with(string $name, self $part): self
    {
        return $this->replaced(self::way($name), $part);
    }

    /** @return array<array-key, self> the parts that lie on the table now, by name */
    public function inHand(string $name = '1'): array
    {
        return null === $this->first || null === $this->second || !$this->isMade
            ? [$name => $this]
            : [...$this->first->inHand($name.'.1'), ...$this->second->inHand($name.'.2')];
    }

    /** @return array<array-key, self> the parts that are not cut any further, now or later, by name */
    public function leaves(string $name = '1'): array
    {
        return null === $this->first || null === $this->second ? [$name => $this] : [...$this->first->leaves($name.'.1'), ...$this->second->leaves($name.'.2')];
    }

    /** @return array<array-key, self> the parts that are cut, or are to be, by name, each before those that it makes */
    public function cuts(string $name = '1'): array
    {
        return null === $this->first || null === $this->second
            ? []
            : [$name => $this] + $this->first->cuts($name.'.1') + $this->second->cuts($name.'.2');
    }

    /** Returns where it is cut, from its left or upper edge; 0 where it is not. */
    public function cutsAt(): int
    {
        return $this->isCutAlongX ? $this->first->width ?? 0 : $this->first->height ?? 0;
    }

    /** @return array<int, int> how many of each piece are in it */
    public function pieces(): array
    {
        return array_count_values(array_filter(array_map(static fn (self $leaf): ?int => $leaf->piece, $this->leaves()), is_int(...)));
    }

    /** Returns it as the planner knows it; a cut that is made is no part of that any more. */
    public function part(): SheetPart
    {
        $part = new SheetPart(0, 0, $this->width, $this->height);
        $this->carve($part);

        return $part;
    }

    /** @return list<mixed> what is the same of all that are cut in the same way, whether that is done or not */
    public function shape(): array
    {
        return null === $this->first || null === $this->second
            ? [$this->width, $this->height, $this->piece]
            : [$this->width, $this->height, $this->isCutAlongX, $this->first->shape(), $this->second->shape()];
    }

    /** @return array<string, mixed> for keeping; read() makes it again */
    public function kept(): array
    {
        if (null === $this->first || null === $this->second) {
            return ['w' => $this->width, 'h' => $this->height] + (null === $this->piece ? [] : ['piece' => $this->piece, 'turned' => $this->isTurned]);
        }

        return [
            'w' => $this->width,
            'h' => $this->height,
            'axis' => $this->isCutAlongX ? 'x' : 'y',
            'made' => $this->isMade,
            'parts' => [$this->first->kept(), $this->second->kept()],
        ];
    }

    /**
     * @param array<array-key, mixed> $kept
     *
     * @throws RefusedCut if it is nothing that kept() gave
     */
    public static function read(array $kept): self
    {
        [$width, $height, $parts] = [$kept['w'] ?? null, $kept['h'] ?? null, $kept['parts'] ?? null];
        if (!\is_int($width) || !\is_int($height) || $width <= 0 || $height <= 0) {
            throw RefusedCut::partIsNothing();
        }
        if (!\is_array($parts)) {
            return new self($width, $height, \is_int($kept['piece'] ?? null) ? $kept['piece'] : null, true === ($kept['turned'] ?? false));
        }
        [$first, $second] = [$parts[0] ?? null, $parts[1] ?? null];
        if (!\is_array($first) || !\is_array($second)) {
            throw RefusedCut::partIsNothing();
        }
        $cut = new self(
            $width,
            $height,
            isCutAlongX: 'x' === ($kept['axis'] ?? ''),
            isMade: true === ($kept['made'] ?? false),
            first: self::read($first),
            second: self::read($second),
        );

        return $cut->isExact() ? $cut : throw RefusedCut::partIsNothing();
    }

    private function isExact(): bool
    {
        [$first, $second] = [$this->first, $this->second];
        if (null === $first || null === $second) {
            return true;
        }

        return $this->isCutAlongX
            ? $first->width + $second->width === $this->width && [$first->height, $second->height] === [$this->height, $this->height]
            : $first->height + $second->height === $this->height && [$first->width, $second->width] === [$this->width, $this->width];
    }

    private function carve(SheetPart $part): void
    {
        $part->piece = $this->piece;
        $part->isTurned = $this->isTurned;
        if (null === $this->first || null === $this->second) {
            return;
        }
        $part->cut($this->isCutAlongX, $this->isCutAlongX ? $this->first->width : $this->first->height);
        \assert(null !== $part->first && null !== $part->second);
        $this->first->carve($part->first);
        $this->second->carve($part->second);
    }

    /** @param list<string> $way */
    private function replaced(array $way, self $part): self
    {
        if ([] === $way) {
            return [$part->width, $part->height] === [$this->width, $this->height] ? $part : throw RefusedCut::partIsNothing();
        }
        if (null === $this->first || null === $this->second) {
            throw RefusedCut::isNotInHand();
        }
        $turn = array_shift($way);

        return new self(
            $this->width,
            $this->height,
            isCutAlongX: $this->isCutAlongX,
            isMade: $this->isMade,
            first: '1' === $turn ? $this->first->replaced($way, $part) : $this->first,
            second: '1' === $turn ? $this->second : $this->second->replaced($way, $part),
        );
    }

    /**
     * @return list<string>
     *
     * @throws RefusedCut if it is no name
     */
    private static function way(string $name): array
    {
        return 1 === preg_match('/^1(?:\.[12])*$/D', $name) ? \array_slice(explode('.', $name), 1) : throw RefusedCut::isNotInHand();
    }
}
