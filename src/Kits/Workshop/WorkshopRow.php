<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\NeedRow;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\Share;
use Lottel\Core\Workshop\SharedThing;

/** A line of a class: a thing of the kit's list or a piece to cut, and how it is dealt out. */
final readonly class WorkshopRow
{
    /**
     * @param string $key the field of the form that it is, `need-4` or `piece-2`
     * @param SharedThing|null $thing null while nobody has said how it is dealt out
     * @param bool $isDesigned whether the kit's design says how much each one gets
     */
    public function __construct(
        public string $key,
        public string $name,
        public Tracking $tracking,
        public ?SharedThing $thing,
        public bool $isDesigned,
        public ?NeedRow $need = null,
        public string $about = '',
        public bool $lasts = false,
    ) {
    }

    public function id(): int
    {
        return (int) explode('-', $this->key)[1];
    }

    /** How it is dealt out, or would usually be; null where nobody knows. */
    public function shareOr(Headcount $class): ?Share
    {
        return $this->thing->share ?? Share::usual($this->lasts, $class);
    }

    public function isPiece(): bool
    {
        return null === $this->need;
    }
}
