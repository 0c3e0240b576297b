<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\Contact;
use App\Platform\Database\Row;
use App\Platform\Steps\Unknown;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;

/** What is lent and what is borrowed. */
final class Loans implements ResetInterface
{
    /** @var list<Loan>|null */
    private ?array $open = null;

    public function __construct(private readonly EntityManagerInterface $entities, private readonly Connection $database)
    {
    }

    /** @throws Unknown if there is no such loan */
    public function one(int $id, LoanWay $way): Loan
    {
        $loan = $this->entities->find(Loan::class, $id);

        return null === $loan || $way !== $loan->way ? throw Unknown::loan() : $loan;
    }

    /** @return list<Loan> those of which something is open, in the order of their last days */
    public function open(): array
    {
        $query = $this->entities->createQuery(
            'SELECT l, i, c FROM '.Loan::class.' l JOIN l.item i JOIN l.contact c WHERE l.ended < l.quantity ORDER BY l.since, l.id',
        );
        /** @var list<Loan> $loans */
        $loans = $query->getResult();
        $until = static fn (Loan $loan): string => $loan->until?->format('Y-m-d') ?? '9999';
        usort($loans, static fn (Loan $a, Loan $b): int => [$until($a), $a->id] <=> [$until($b), $b->id]);

        return $loans;
    }

    /** @return list<Loan> the open ones of a thing */
    public function of(int $item): array
    {
        $this->open ??= $this->open();

        return array_values(array_filter($this->open, static fn (Loan $loan): bool => $loan->item->id === $item));
    }

    /** @return list<Loan> what was settled last */
    public function settled(int $most): array
    {
        $query = $this->entities->createQuery(
            'SELECT l, i, c FROM '.Loan::class.' l JOIN l.item i JOIN l.contact c WHERE l.ended = l.quantity ORDER BY l.id DESC',
        );
        /** @var list<Loan> $loans */
        $loans = $query->setMaxResults($most)->getResult();

        return $loans;
    }

    /** Whose it is; null where it is ours. */
    public function owner(Item $item): ?Contact
    {
        foreach ($this->entities->getRepository(Loan::class)->findBy(['item' => $item, 'way' => LoanWay::Borrowed]) as $loan) {
            if ($loan->open() > 0) {
                return $loan->contact;
            }
        }

        return null;
    }

    /** What stands in the log for a person who has things of the room; null where nothing was lent to them yet. */
    public function placeOf(Contact $contact): ?Place
    {
        $id = $this->database->fetchOne(
            'SELECT p.id FROM place p WHERE p.kind = ? AND p.name = ? AND NOT EXISTS (SELECT 1 FROM loan l WHERE l.place_id = p.id AND l.contact_id <> ?)',
            [Place::PERSON, self::nameFor($contact), $contact->id],
        );

        return false === $id ? null : $this->entities->find(Place::class, $id);
    }

    public static function nameFor(Contact $contact): string
    {
        return 'lent to '.$contact->name;
    }

    /** Where a thing is that is out, in words such as “on tray 2” or “lent to Pelle”; null where it is nowhere. */
    public function whereOut(Item $item): ?string
    {
        $row = $this->database->fetchAssociative(
            "SELECT p.kind, p.name, p.address FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ? AND p.nature = 'tray'",
            [$item->id],
        );
        if (false === $row) {
            return null;
        }
        $place = new Row($row);

        return match ($place->text('kind')) {
            Place::PERSON => $place->text('name'),
            Place::BASKET => 'in '.$place->text('name'),
            default => 'on '.$place->text('address'),
        };
    }

    /** @return list<string> the open kits that still want a thing, by name */
    public function kitsThatWant(Item $item): array
    {
        return Row::words($this->database->fetchFirstColumn(
            'SELECT w.name FROM open_want w WHERE w.item_id = ? ORDER BY w.due_on IS NULL, w.due_on, w.kit_id LIMIT 6',
            [$item->id],
        ));
    }

    public function reset(): void
    {
        $this->open = null;
    }
}
