<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** One piece of stock and how it is cut. */
final class CutStock
{
    /** @var list<SheetPart>|null */
    private ?array $free = null;

    public function __construct(public readonly int $stock, public readonly SheetPart $root)
    {
    }

    /**
     * Returns the parts that are no piece and no narrower than a length; looked up once, so that it is only for stock that is
     * not cut any further.
     *
     * @return list<SheetPart>
     */
    public function free(int $narrowest): array
    {
        return $this->free ??= array_values(
            array_filter(
                $this->root->leaves(),
                static fn (SheetPart $leaf): bool => null === $leaf->piece && $leaf->width >= $narrowest && $leaf->height >= $narrowest,
            ),
        );
    }
}
