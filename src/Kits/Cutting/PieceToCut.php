<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Cutting\Crease;
use Lottel\Core\Cutting\PaperWish;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Design\DesignPiece;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Direction;

/** So many equal pieces that are to be cut for a kit. Sides in ticks, flat. */
#[ORM\Entity]
#[ORM\Table(name: 'piece')]
#[ORM\Index(name: 'piece_kit', columns: ['kit_id'])]
#[ORM\Index(name: 'piece_paper', columns: ['paper_id'])]
#[ORM\Index(name: 'piece_item', columns: ['item_id'])]
class PieceToCut
{
    public const MOST = AskedPiece::MOST;

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

    /** Which part of the kit's design it is, as DesignPiece names it; null where a person asked for it here. */
    #[ORM\Column(length: 40, nullable: true)]
    public ?string $part = null;

    /** What else than its paper it may be cut from. */
    #[ORM\Column(length: 6, options: ['default' => 'this'])]
    public PaperWish $wish = PaperWish::This;

    /** @param list<Crease> $creases */
    private function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $paper,
        Size $size,
        string $name,
        int $quantity,
        bool $mayTurn,
        array $creases,
    ) {
        [$this->width, $this->height] = [$size->width->ticks, $size->height->ticks];
        [$this->name, $this->quantity, $this->mayTurn] = [mb_substr($name, 0, 60), $quantity, $mayTurn];
        $this->creases = array_map(static fn (Crease $crease): array => $crease->kept(), $creases);
    }

    public static function asked(Kit $kit, Item $paper, AskedPiece $asked): self
    {
        $mayTurn = $asked->mayTurnOn($paper->sheet->direction);

        return new self($kit, $paper, $asked->size, $asked->name, $asked->quantity, $mayTurn, $asked->creases);
    }

    public static function designed(Kit $kit, Item $paper, DesignPiece $wanted, int $quantity): self
    {
        $direction = $paper->sheet->direction;
        $mayTurn = null === $direction || Direction::None === $direction;
        $piece = new self($kit, $paper, $wanted->size->size(), $wanted->name, $quantity, $mayTurn, $wanted->creases);
        [$piece->part, $piece->wish] = [$wanted->part, $wanted->paper->wish ?? PaperWish::This];

        return $piece;
    }

    /** The same for another kit, so many of it. */
    public function again(Kit $kit, int $quantity): self
    {
        $piece = new self($kit, $this->paper, $this->size(), $this->name, $quantity, $this->mayTurn, $this->creases());
        $piece->wish = $this->wish;

        return $piece;
    }

    public function want(int $quantity): void
    {
        $this->quantity = $quantity;
    }

    public function standFor(?string $part): void
    {
        $this->part = $part;
    }

    public function score(int $many): void
    {
        $this->scored += $many;
    }

    /** It is that thing of the catalogue from now on. */
    public function become(Item $item): Item
    {
        return $this->item = $item;
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
            && $this->wish === $other->wish
            && (null === $this->part) === (null === $other->part)
            && [$this->name, $this->width, $this->height, $this->mayTurn, $this->creases]
                === [$other->name, $other->width, $other->height, $other->mayTurn, $other->creases];
    }
}
