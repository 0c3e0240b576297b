<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Cutting\PieceToCut;
use App\Kits\Kits\Need;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Workshop\Share;

/** How a line of the list, or a piece to cut, is dealt out in a class. */
#[ORM\Entity]
#[ORM\Table(name: 'share')]
#[ORM\Index(name: 'share_workshop', columns: ['workshop_id'])]
#[ORM\UniqueConstraint(name: 'share_need', columns: ['need_id'])]
#[ORM\UniqueConstraint(name: 'share_piece', columns: ['piece_id'])]
class DealtOut
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column]
    private int $each;

    #[ORM\Column(options: ['default' => 1])]
    private int $among;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'shares'), ORM\JoinColumn(nullable: false)]
        public readonly Workshop $workshop,
        #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        public readonly ?Need $need,
        #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        public readonly ?PieceToCut $piece,
        Share $share,
    ) {
        $this->say($share);
        $workshop->shares->add($this);
    }

    /** The line that it is of, as forms name it: `need-4` or `piece-2`. */
    public function key(): string
    {
        return null === $this->need ? 'piece-'.$this->piece?->id : 'need-'.$this->need->id;
    }

    public function say(Share $share): void
    {
        [$this->each, $this->among] = [$share->each, $share->among];
    }

    public function share(): Share
    {
        return new Share($this->each, $this->among);
    }
}
