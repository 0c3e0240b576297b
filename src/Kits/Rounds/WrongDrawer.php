<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Platform\Steps\Refusal;

/** A label was scanned that does not belong to what is being done; the message says what does. */
final class WrongDrawer extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function onReturn(string $here, string $thing, string $home): self
    {
        return new self(\sprintf('Wrong drawer: this is %s. %s goes into %s.', $here, $thing, $home));
    }

    public static function onPull(string $here, string $thing, string $there): self
    {
        return new self(\sprintf('Wrong drawer: this is %s. %s is in %s.', $here, $thing, $there));
    }

    public static function notOurs(string $text): self
    {
        return new self(\sprintf('“%s” is no label of this room.', mb_strimwidth($text, 0, 40, '…')));
    }

    public static function notOnList(string $thing): self
    {
        return new self(\sprintf('%s is not on the list of this kit.', $thing));
    }

    public static function notOnTray(string $thing): self
    {
        return new self(\sprintf('%s is not on this tray.', $thing));
    }

    public static function noStopLeft(string $here): self
    {
        return new self(\sprintf('This is %s. Nothing of this round is left for any drawer.', $here));
    }
}
