<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\Kit;
use App\Platform\Story\BeginsDemo;
use App\Platform\Story\EndsDemo;
use App\Platform\Story\Said;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Measure\Duration;
use Lottel\Core\Year\Day;
use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;

/** The demo room's year: people and their dates, hours at the bench, how long some kits take. */
final readonly class YearInDemo implements BeginsDemo, EndsDemo
{
    public function __construct(
        private HoursAtBench $hours,
        private KeepOccasion $keep,
        private Contacts $contacts,
        private SayTime $say,
        private EntityManagerInterface $entities,
    ) {
    }

    /** The people, their dates, and when somebody is at the bench. */
    public function before(Said $year, Day $today): void
    {
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
    public function after(Said $year, Day $today): void
    {
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
