<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\Calendar\Shelf\Albums;
use App\Calendar\Shelf\KeepForDay;
use App\Calendar\Year\Contacts;
use App\Calendar\Year\HoursAtBench;
use App\Calendar\Year\KeepOccasion;
use App\Calendar\Year\KitForOccasion;
use App\Calendar\Year\Occasion;
use App\Calendar\Year\OccasionDescription;
use App\Calendar\Year\SayTime;
use App\Kits\Kits\Kit;
use App\Platform\Story\Said;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Price;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Measure\Duration;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** Fills the demo room's year: people and their dates, hours at the bench, how long some kits take. */
final readonly class FillYear
{
    public function __construct(
        private DemoFiles $files,
        private HoursAtBench $hours,
        private KeepOccasion $keep,
        private Contacts $contacts,
        private SayTime $say,
        private EntityManagerInterface $entities,
        private FurnishRoom $room,
        private KeepForDay $keepForDay,
        private Albums $albums,
    ) {
    }

    /** The people, their dates, and when somebody is at the bench. */
    public function dates(Day $today): void
    {
        $year = $this->files->yaml('year');
        $this->hours->put($year->ints('hours'));
        foreach ($year->named('other_hours') as $day => $minutes) {
            $this->hours->putOn($today->plus((int) $day)->date(), (int) $minutes);
        }
        foreach ($year->parts('dates') as $date) {
            ($this->keep)(self::said($date, $today->plus($date->int('day'))));
            if ($date->has('likes')) {
                $this->contacts->named($date->text('of'))->like($date->text('likes'));
            }
        }
    }

    /** What is known of the kits that are planned by then. */
    public function kits(): void
    {
        $year = $this->files->yaml('year');
        foreach ($year->parts('times') as $name => $time) {
            $kit = $this->kit($name);
            $minutes = $time->has('time') ? Duration::read($time->text('time'))?->minutes : null;
            ($this->say)($kit, $kit->dueOn, $minutes, $time->int('drying_days', 0), null);
        }
        foreach ($year->parts('kits') as $name => $said) {
            $kit = $this->kit($name);
            $occasion = $this->entities->getRepository(Occasion::class)->findOneBy(['name' => $said->text('for')]);
            $day = null === $kit->dueOn ? null : $occasion?->on()->next(Day::of($kit->dueOn));
            if (null === $occasion || null === $day) {
                throw new \LogicException('The year speaks of dates that it has.');
            }
            $this->entities->persist(new KitForOccasion($kit, $occasion, $day->date()));
        }
    }

    /** Where finished pieces went. */
    /** For whom some finished pieces are kept, what was paid, and the album. */
    public function shelf(Day $today): void
    {
        $year = $this->files->yaml('year');
        foreach ($year->parts('aside') as $aside) {
            $occasion = $this->occasion($aside->text('for'));
            ($this->keepForDay)($this->room->item($aside->text('what')), $occasion, $occasion->on()->next($today) ?? $today);
            $this->entities->flush();
        }
        foreach ($year->parts('prices') as $price) {
            $item = $this->room->item($price->text('what'));
            $day = $today->plus($price->int('day'))->date();
            $this->entities->persist(new Price($item, $price->int('cents'), $price->int('quantity'), $day, $price->text('shop', '')));
        }
        foreach (array_keys($year->parts('collections')) as $collection) {
            foreach ($year->part('collections')->texts($collection) as $name) {
                $item = $this->room->item($name);
                $item->describe($item->record()->with(collection: $collection));
            }
        }
        foreach ($this->entities->getRepository(Item::class)->findBy(['kind' => Kind::FinishedPiece]) as $piece) {
            $words = explode(' ', $piece->name);
            $size = $year->named('sizes')[end($words)] ?? null;
            if (null !== $size) {
                $piece->describe($piece->record()->with(details: $piece->details + ['measures' => $size]));
            }
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
                $page->assignTo($this->kit($kits[$title]));
            }
        }
    }

    private function occasion(string $name): Occasion
    {
        return $this->entities->getRepository(Occasion::class)->findOneBy(['name' => $name])
            ?? throw new \LogicException('The year speaks of dates that it has: '.$name);
    }

    private static function said(Said $date, Day $day): OccasionDescription
    {
        $kind = OccasionKind::from($date->text('kind'));
        $person = $date->text('of', '');
        $on = $kind->isYearly()
            ? Recurrence::kept($day->month(), $day->dayOfMonth(), $date->has('years') ? $day->year() - $date->int('years') : null, true)
            : Recurrence::once($day);

        return new OccasionDescription(
            $kind,
            $date->text('name', '' === $person ? null : KeepOccasion::nameOf($kind, $person)),
            $on,
            $person,
            $date->text('wants', $kind->shelf()),
            $date->int('pieces', 1),
            $kind->usualDaysAhead(),
            $date->int('lasts', 1),
        );
    }

    private function kit(string $name): Kit
    {
        return $this->entities->getRepository(Kit::class)->findOneBy(['name' => $name])
            ?? throw new \LogicException('The year speaks of kits that the story has: '.$name);
    }
}
