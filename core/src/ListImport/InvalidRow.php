<?php

declare(strict_types=1);

namespace Lottel\Core\ListImport;

/** A row of somebody's list that cannot be read as it stands: what is wrong in which field. */
final class InvalidRow extends \DomainException
{
    public function __construct(public readonly ListField $field, string $why, ?\Throwable $previous = null)
    {
        parent::__construct($why, 0, $previous);
    }
}
