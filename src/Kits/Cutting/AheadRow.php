<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Lottel\Core\Cutting\AheadOfTime;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\Size;

/** Pieces that are kept ready-cut: how many there are, how fast they go, and how many are to be cut. */
final readonly class AheadRow
{
    private function __construct(
        public int $id,
        public string $name,
        public ?string $colour,
        public ?int $homeId,
        public ?string $home,
        public string $paper,
        private ?Size $size,
        public int $there,
        public int $wished,
        public int $used,
        public ?int $weeks,
        public int $lacking,
    ) {
    }

    public static function of(Row $row, int $days): self
    {
        [$there, $wished, $used] = [$row->int('there'), $row->int('wished'), $row->int('used')];

        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->textOrNull('colour'),
            $row->intOrNull('home_id'),
            $row->textOrNull('home'),
            $row->text('paper'),
            SheetColumns::read($row)->size,
            $there,
            $wished,
            $used,
            AheadOfTime::weeks($there, $wished, $used, $days),
            AheadOfTime::lacking($there, $wished, $used, $days),
        );
    }

    /** The line that asks for what is lacking; empty where nothing is, or nobody knows how large they are. */
    public function line(LengthFormat $lengths): string
    {
        return 0 === $this->lacking || null === $this->size
            ? ''
            : AskedPiece::lineFor(min($this->lacking, AskedPiece::MOST), $this->name, $this->size, $lengths, $this->paper);
    }
}
