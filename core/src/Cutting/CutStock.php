<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** One piece of stock and how it is cut. */
final class CutStock
{
    /** @var list<Part>|null */
    private ?array $free = null;

    public function __construct(public readonly int $stock, public readonly Part $root)
    {
    }

    /**
     * Returns the parts that are no piece and no narrower than a length; looked up once, so that it is only for stock that is
     * not cut any further.
     *
     * @return list<Part>
     */
    public function free(int $narrowest): array
    {
        return $this->free ??= array_values(
            array_filter(
                $this->root->leaves(),
                static fn (Part $leaf): bool => null === $leaf->piece && $leaf->width >= $narrowest && $leaf->height >= $narrowest,
            ),
        );
    }
}
