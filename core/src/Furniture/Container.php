<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

/** What can be put inside a place to hold things. */
enum Container: string
{
    case Tray = 'tray';
    case Box = 'box';
    case Pouch = 'pouch';
    case Page = 'page';
    case Folder = 'folder';
    case Jar = 'jar';

    public function label(): string
    {
        return self::Page === $this ? 'binder page' : $this->value;
    }
}
