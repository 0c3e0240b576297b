<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** A step of making that is done for one card, page or set after the other. */
final readonly class MakingStep
{
    /**
     * @param string $key stays the same when other steps come and go
     * @param list<string> $parts the pieces that it takes, as DesignPiece names them
     * @param int|null $layer the layer that lies on the card with it
     */
    public function __construct(public string $key, public string $words, public array $parts, public ?int $layer = null)
    {
    }
}
