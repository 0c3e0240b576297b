<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Filing\FilingScheme;

/** A storage place in a list: how many different things are in it, and how many of those that live there are out. */
final readonly class PlaceLine
{
    private function __construct(
        public int $id,
        public int $unitId,
        public string $address,
        public string $title,
        public bool $isInner,
        public bool $hasFront,
        public int $layer,
        public int $things,
        public int $out,
        public string $name,
        public ?Kind $saysKind,
        public string $saysMaker,
        public string $saysTheme,
        private string $filedBy,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->int('unit_id'),
            $row->text('address'),
            FrontRow::title($row),
            null !== $row->intOrNull('parent_id'),
            null !== $row->intOrNull('front_x'),
            $row->int('layer'),
            $row->int('things'),
            $row->int('out'),
            $row->text('name'),
            $row->oneOrNull('says_kind', Kind::class),
            $row->text('says_maker'),
            $row->text('says_theme'),
            $row->text('scheme'),
        );
    }

    public function scheme(): FilingScheme
    {
        return FilingScheme::parse($this->filedBy);
    }

    /** What it says of makers and themes, and how it is filed, in few words. */
    public function rulesInWords(): string
    {
        return implode(' · ', array_filter([$this->saysMaker, $this->saysTheme, $this->scheme()->inWords()], static fn (string $said): bool => '' !== $said));
    }
}
