<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\OccasionKind;

/** Writes a date down, with the person whose it is; or changes it. */
final readonly class KeepOccasion
{
    public function __construct(private EntityManagerInterface $entities, private Contacts $contacts, private Occasions $occasions)
    {
    }

    /** @throws PersonHasDate if the person has a birthday, or an anniversary, already */
    public function __invoke(OccasionDescription $said, ?Occasion $occasion = null): Occasion
    {
        $contact = '' === $said->person ? null : $this->contacts->named($said->person);
        if (null !== $contact && $said->kind->isOfAPerson() && $said->on->isYearly) {
            $same = $this->occasions->sameOf($contact, $said->kind);
            if (null !== $same && $same !== $occasion) {
                throw PersonHasDate::already($contact->name, $said->kind, $same->on());
            }
        }
        null === $occasion ? $this->entities->persist($occasion = new Occasion($said, $contact)) : $occasion->describe($said, $contact);
        $this->entities->flush();

        return $occasion;
    }

    /** @throws StepRefused if a kit is planned for it */
    public function remove(Occasion $occasion, \DateTimeImmutable $at): void
    {
        foreach ($this->entities->getRepository(KitForOccasion::class)->findBy(['occasion' => $occasion]) as $for) {
            if (!$for->kit->isClosed() && null === $for->kit->removedAt) {
                throw YearRefused::occasionHasKit($occasion->name, $for->kit->name);
            }
        }
        $occasion->remove($at);
    }

    public static function nameOf(OccasionKind $kind, string $person): string
    {
        return \sprintf('%s’s %s', $person, $kind->value);
    }
}
