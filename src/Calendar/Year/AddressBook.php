<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use Lottel\Core\Year\OccasionKind;
use Lottel\Core\Year\Recurrence;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VCard;

/** The people with their dates as an address book (vCard 4.0, RFC 6350), and all dates as a calendar (iCalendar, RFC 5545). */
final readonly class AddressBook
{
    private const PRODUCT = '-//Lottel//Lottel//EN';

    public function __construct(private Contacts $contacts, private Occasions $occasions)
    {
    }

    public function cards(string $host): string
    {
        $dates = [];
        foreach ($this->occasions->all() as $occasion) {
            if (null !== $occasion->contact && $occasion->kind->isOfAPerson()) {
                $dates[(int) $occasion->contact->id][$occasion->kind->value] ??= $occasion->on();
            }
        }
        $cards = '';
        foreach ($this->contacts->all() as $contact) {
            $card = new VCard(['VERSION' => '4.0', 'PRODID' => self::PRODUCT, 'UID' => \sprintf('person-%d@%s', $contact->id, $host), 'FN' => $contact->name]);
            foreach (['BDAY' => OccasionKind::Birthday, 'ANNIVERSARY' => OccasionKind::Anniversary] as $property => $kind) {
                $on = $dates[(int) $contact->id][$kind->value] ?? null;
                if (null !== $on) {
                    $card->add($property, null === $on->year ? \sprintf('--%02d%02d', $on->month, $on->day) : self::date($on));
                }
            }
            if ('' !== $contact->likes) {
                $card->add('NOTE', $contact->likes);
            }
            $cards .= $card->serialize();
        }

        return $cards;
    }

    public function calendar(string $host, \DateTimeImmutable $at): string
    {
        $calendar = new VCalendar(['PRODID' => self::PRODUCT]);
        foreach ($this->occasions->all() as $occasion) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => \sprintf('occasion-%d@%s', $occasion->id, $host), 'DTSTAMP' => $at, 'SUMMARY' => $occasion->name, 'TRANSP' => 'TRANSPARENT',
            ]);
            $on = $occasion->on();
            $event->add('DTSTART', self::date($on), ['VALUE' => 'DATE']);
            $event->add('DURATION', \sprintf('P%dD', max(1, $occasion->lasts)));
            if ($on->isYearly) {
                $event->add('RRULE', 'FREQ=YEARLY');
            }
            $calendar->add($event);
        }

        return $calendar->serialize();
    }

    private static function date(Recurrence $on): string
    {
        return \sprintf('%04d%02d%02d', $on->year ?? DatesInFile::NO_YEAR, $on->month, $on->day);
    }
}
