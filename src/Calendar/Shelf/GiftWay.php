<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use Lottel\Core\Log\Outside;

/** How a finished piece leaves the room. */
enum GiftWay: string
{
    case Given = 'given';
    case Sent = 'sent';
    case Sold = 'sold';

    public function to(): Outside
    {
        return self::Sold === $this ? Outside::Sold : Outside::GivenAway;
    }
}
