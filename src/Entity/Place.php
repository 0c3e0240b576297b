<?php

declare(strict_types=1);

namespace App\Entity;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Log;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Storage\FilingScheme;
use Lottel\Core\Storage\Front;
use Lottel\Core\Storage\Kind;

/** Anything that a thing can be in: storage, a tray, the heap of what is not filed, or outside. Lengths in ticks. */
#[ORM\Entity]
class Place
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Place $parent = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontX = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontY = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontWidth = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontHeight = null;

    #[ORM\Column]
    public int $layer = 0;

    #[ORM\Column(length: 60)]
    public string $scheme = 'name';

    #[ORM\Column(length: 20, nullable: true)]
    public ?Kind $saysKind = null;

    #[ORM\Column(length: 120)]
    public string $saysMaker = '';

    #[ORM\Column(length: 120)]
    public string $saysTheme = '';

    private function __construct(
        #[ORM\ManyToOne]
        public ?Unit $unit,
        #[ORM\Column(length: 10)]
        public PlaceNature $nature,
        #[ORM\Column(length: 20)]
        public string $kind,
        #[ORM\Column(length: 24)]
        public string $address,
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
    }

    public static function inUnit(Unit $unit, string $kind, string $address, string $name, ?Front $front): self
    {
        $place = new self($unit, PlaceNature::Storage, $kind, $address, $name);
        $place->frontX = $front?->x->ticks;
        $place->frontY = $front?->y->ticks;
        $place->frontWidth = $front?->width->ticks;
        $place->frontHeight = $front?->height->ticks;

        return $place;
    }

    public static function inside(self $outer, string $kind, string $address, string $name): self
    {
        $place = new self($outer->unit, PlaceNature::Storage, $kind, $address, $name);
        $place->parent = $outer;

        return $place;
    }

    public static function tray(int $number): self
    {
        return new self(null, PlaceNature::Tray, 'tray', 'tray '.$number, 'tray '.$number);
    }

    public function filingScheme(): FilingScheme
    {
        return FilingScheme::parse($this->scheme);
    }

    public function forLog(): Log\Place
    {
        return new Log\Place((int) $this->id, $this->nature, $this->address);
    }
}
