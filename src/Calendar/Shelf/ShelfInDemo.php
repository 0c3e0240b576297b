<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Occasion;
use App\Kits\Kits\Kit;
use App\Platform\Story\EndsDemo;
use App\Platform\Story\Said;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\NamedInDemo;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\Day;

/** For whom some finished pieces of the demo room are kept, and its album. */
final readonly class ShelfInDemo implements EndsDemo
{
    public function __construct(
        private NamedInDemo $named,
        private KeepForDay $keepForDay,
        private Albums $albums,
        private EntityManagerInterface $entities,
    ) {
    }

    public function after(Said $year, Day $today): void
    {
        foreach ($year->parts('aside') as $aside) {
            $occasion = $this->entities->getRepository(Occasion::class)->findOneBy(['name' => $aside->text('for')]) ?? throw Said::unknown($aside->text('for'));
            ($this->keepForDay)($this->named->thing($aside->text('what')), $occasion, $occasion->on()->next($today) ?? $today);
            $this->entities->flush();
        }
        $this->album($year->part('album'));
    }

    private function album(Said $said): void
    {
        $album = $this->albums->begin($said->text('name'));
        $kits = $said->named('kits');
        foreach ($said->texts('pages') as $title) {
            $page = $this->albums->add($album, $title);
            $item = $this->entities->getRepository(Item::class)->findOneBy(['name' => $title]);
            null === $item ? null : $this->albums->fill($page, $item);
            if (isset($kits[$title])) {
                $kit = $this->entities->getRepository(Kit::class)->findOneBy(['name' => $kits[$title]]);
                $page->assignTo($kit ?? throw Said::unknown($kits[$title]));
            }
        }
    }
}
