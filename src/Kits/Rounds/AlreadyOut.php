<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Platform\Steps\Refusal;

/** Somebody else was quicker (law 8). */
final class AlreadyOut extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function onTray(string $item, string $tray, string $kit, string $who): self
    {
        return new self(\sprintf('%s is out already: %s took it, it is on %s (%s).', $item, $who, $tray, $kit));
    }

    /** @param string $lent such as “lent to Pelle” */
    public static function with(string $item, string $lent): self
    {
        return new self(\sprintf('%s is not here: it is %s.', $item, $lent));
    }
}
