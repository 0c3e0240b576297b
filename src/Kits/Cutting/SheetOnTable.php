<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Room\Catalogue\Item;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Cutting\SheetInWork;
use Lottel\Core\Cutting\WorkPart;

/** A sheet or scrap that a kit's plan cuts: how, and how far that is done. */
#[ORM\Entity]
#[ORM\Table(name: 'sheet_in_work')]
#[ORM\Index(name: 'sheet_in_work_kit', columns: ['kit_id'])]
#[ORM\Index(name: 'sheet_in_work_item', columns: ['item_id'])]
class SheetOnTable
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    /** @var array<string, mixed> what WorkPart keeps */
    #[ORM\Column(type: 'json')]
    private array $tree;

    /** The tree as it is worked with. */
    private ?SheetInWork $sheet = null;

    /** Whether it is cut and the log has what it became. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isLogged = false;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Item $item,
        SheetInWork $sheet,
    ) {
        $this->put($sheet);
    }

    /** Whether it is a sheet as it was bought, and not something that was cut from one. */
    public function isWhole(): bool
    {
        return $this->item->kind->isBoughtSheet(null !== $this->item->parent);
    }

    public function sheet(): SheetInWork
    {
        return $this->sheet ??= SheetInWork::of(WorkPart::read($this->tree));
    }

    public function put(SheetInWork $sheet): void
    {
        $this->sheet = $sheet;
        $this->tree = $sheet->root->kept();
    }

    /** The log has what it became. */
    public function markLogged(): void
    {
        $this->isLogged = true;
    }
}
