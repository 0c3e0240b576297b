<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Words\Counted;

/** A design that was read out of words. */
final readonly class WordedDesign
{
    /** @var list<string> what was not said, and is taken as it usually is */
    public array $assumed;

    /** @param list<string> $assumed empty ones do not count */
    public function __construct(public Design $design, array $assumed)
    {
        $this->assumed = array_values(array_unique(array_filter($assumed, static fn (string $one): bool => '' !== $one)));
    }

    /** Returns what is taken as it usually is, in a sentence; empty where all was said. */
    public function sentence(): string
    {
        return [] === $this->assumed ? '' : \sprintf('Not said, so taken as usual: %s.', Counted::names($this->assumed, 'thing', 6));
    }
}
