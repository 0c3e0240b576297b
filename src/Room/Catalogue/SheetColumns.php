<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Basis;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Paper\Sheet;

/** The measures of a sheet as an item keeps them: sides in ticks, weight in milligrams to the square metre. */
#[ORM\Embeddable]
final class SheetColumns
{
    #[ORM\Column(nullable: true)]
    public ?int $sheetWidth = null;

    #[ORM\Column(nullable: true)]
    public ?int $sheetHeight = null;

    #[ORM\Column(nullable: true)]
    public ?int $grammage = null;

    #[ORM\Column(length: 5, nullable: true)]
    public ?Basis $basis = null;

    #[ORM\Column(length: 4, nullable: true)]
    public ?Direction $direction = null;

    #[ORM\Column(length: 7, nullable: true)]
    public ?string $backColour = null;

    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $finish = '';

    /** Whether its weight was learned on a scale. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isWeighed = false;

    /** @var list<list<array{int, int}>>|null the edge of what is no rectangle, and its holes: corners in ticks */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $outline = null;

    public function put(Sheet $sheet): void
    {
        [$this->sheetWidth, $this->sheetHeight] = [$sheet->size?->width->ticks, $sheet->size?->height->ticks];
        [$this->grammage, $this->basis] = [$sheet->weight?->milligrams, $sheet->weight?->basis];
        [$this->direction, $this->backColour, $this->finish] = [$sheet->direction, $sheet->back, $sheet->finish];
        $this->isWeighed = $sheet->isWeighed;
        $this->outline = $sheet->outline?->rings();
    }

    public function sheet(): Sheet
    {
        return self::made(
            $this->sheetWidth,
            $this->sheetHeight,
            $this->grammage,
            $this->basis,
            $this->direction,
            $this->backColour,
            $this->finish,
            $this->outline ?? [],
            $this->isWeighed,
        );
    }

    /** @param Row $row with all columns of an item */
    public static function read(Row $row): Sheet
    {
        return self::made(
            $row->intOrNull('sheet_width'),
            $row->intOrNull('sheet_height'),
            $row->intOrNull('grammage'),
            $row->oneOrNull('basis', Basis::class),
            $row->oneOrNull('direction', Direction::class),
            $row->textOrNull('back_colour'),
            $row->text('finish'),
            $row->rings('outline'),
            $row->flag('is_weighed'),
        );
    }

    /** @param list<list<array{int, int}>> $rings */
    private static function made(
        ?int $width,
        ?int $height,
        ?int $grammage,
        ?Basis $basis,
        ?Direction $direction,
        ?string $back,
        string $finish,
        array $rings,
        bool $isWeighed,
    ): Sheet {
        return new Sheet(
            null === $width || null === $height ? null : Size::ofTicks($width, $height),
            null === $grammage ? null : Grammage::of($grammage, $basis),
            $direction,
            $back,
            $finish,
            [] === $rings ? null : Outline::of($rings[0], \array_slice($rings, 1)),
            $isWeighed,
        );
    }
}
