<?php

declare(strict_types=1);

namespace App\Platform\Web;

use App\Platform\Database\Row;
use App\Platform\Security\Account;
use App\Platform\Steps\HalfUndone;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Usual;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\RequestStack;

/** What pages show around their own matter: the room and how it measures, what was just done. */
final readonly class Frame
{
    public function __construct(
        private Connection $database,
        private RequestStack $requests,
        private Security $security,
        private RoomAtHand $room,
        private Measures $measures,
        private RoomClock $roomClock,
        private bool $isDemo,
    ) {
    }

    public function isDemo(): bool
    {
        return $this->isDemo;
    }

    public function room(): RoomCard
    {
        return $this->room->card();
    }

    public function isMetric(): bool
    {
        return $this->measures->isMetric();
    }

    public function usual(): Usual
    {
        return $this->measures->usual();
    }

    public function example(Tracking $tracking): string
    {
        return $this->measures->example($tracking);
    }

    public function today(): \DateTimeImmutable
    {
        return $this->roomClock->today();
    }

    /** Returns what the page before this one did, null where it did nothing, or another person did. */
    public function done(): ?DoneCard
    {
        $id = $this->requests->getMainRequest()?->query->all()['done'] ?? null;
        if (!\is_string($id) || 36 !== \strlen($id)) {
            return null;
        }
        $columns = $this->database->fetchAssociative(
            'SELECT w.id, w.account_id, w.said, EXISTS (SELECT 1 FROM part_done q WHERE q.request_id = w.id AND q.parts > 1) AS is_long,
                    w.is_undoable AND (w.undone_by IS NULL OR '.HalfUndone::IS.')
                    AND EXISTS (SELECT 1 FROM step_change c WHERE c.request_id = w.id) AS is_undoable
             FROM write_request w WHERE w.id = ?',
            [$id],
        );
        $row = new Row(false === $columns ? ['account_id' => null, 'said' => ''] : $columns);

        return '' === $row->text('said') || $row->intOrNull('account_id') !== $this->me()
            ? null
            : new DoneCard($row->text('id'), $row->text('said'), $row->flag('is_undoable'), $row->flag('is_long'));
    }

    private function me(): ?int
    {
        $user = $this->security->getUser();

        return $user instanceof Account ? $user->id : null;
    }
}
