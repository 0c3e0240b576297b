<?php

declare(strict_types=1);

namespace App\Cutting;

use App\Catalogue\Item;
use App\Kits\Kit;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Cutting\Crease;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Measure\Size;

/** So many equal pieces that are to be cut for a kit. Sides in ticks, flat. */
#[ORM\Entity]
#[ORM\Table(name: 'piece')]
#[ORM\Index(name: 'piece_kit', columns: ['kit_id'])]
#[ORM\Index(name: 'piece_paper', columns: ['paper_id'])]
#[ORM\Index(name: 'piece_item', columns: ['item_id'])]
class PieceToCut
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** What they are in the catalogue, as soon as the first is cut. */
    #[ORM\ManyToOne]
    public ?Item $item = null;

    #[ORM\Column]
    public readonly int $width;

    #[ORM\Column]
    public readonly int $height;

    #[ORM\Column(length: 60)]
    public readonly string $name;

    #[ORM\Column]
    public int $quantity;

    #[ORM\Column(options: ['default' => true])]
    public readonly bool $mayTurn;

    /** @var list<array{string, int}> */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    private array $creases;

    /** How many of them are scored. */
    #[ORM\Column(options: ['default' => 0])]
    public int $scored = 0;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $paper,
        AskedPiece $asked,
    ) {
        [$this->width, $this->height] = [$asked->size->width->ticks, $asked->size->height->ticks];
        [$this->name, $this->quantity] = [$asked->name, $asked->quantity];
        $this->mayTurn = $asked->mayTurnOn($paper->sheet->direction);
        $this->creases = array_map(static fn (Crease $crease): array => $crease->kept(), $asked->creases);
    }

    public function size(): Size
    {
        return Size::ofTicks($this->width, $this->height);
    }

    /** @return list<Crease> */
    public function creases(): array
    {
        return array_map(static fn (array $kept): Crease => new Crease('x' === $kept[0], $kept[1]), $this->creases);
    }

    /** Whether its first score is measured from the shorter edge. */
    public function isScoredFromShortEdge(): bool
    {
        return true === ($this->creases()[0] ?? null)?->isFromShortEdge($this->size());
    }

    /** Returns so many of them as the planner knows them. */
    public function planned(int $many, string $paper): Piece
    {
        return new Piece($this->name, $this->width, $this->height, $many, $this->mayTurn, $paper);
    }

    /** Whether another is the same but for its number. */
    public function isLike(self $other): bool
    {
        return $this->paper === $other->paper
            && [$this->name, $this->width, $this->height, $this->mayTurn, $this->creases]
                === [$other->name, $other->width, $other->height, $other->mayTurn, $other->creases];
    }
}
