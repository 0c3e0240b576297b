<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** The life of a thing, told from its log: when it came in, with which kits it was out, when it was lost and where it was found. */
final class Life
{
    /** @var array<int, LifeEvent> */
    private array $events = [];

    /** @var array<int, int> where in the events the stay with a kit stands, by kit */
    private array $stays = [];

    /** @var array<int, int> how much of it is on the tray of a kit */
    private array $onTray = [];

    private ?int $lost = null;

    private function __construct()
    {
    }

    /**
     * @param iterable<LifeLine> $lines oldest first, without reversals and what they reverse
     *
     * @return list<LifeEvent> in the order in which they began
     */
    public static function of(iterable $lines): array
    {
        $life = new self();
        foreach ($lines as $line) {
            $life->goOn($line);
        }

        return array_values($life->events);
    }

    private function goOn(LifeLine $line): void
    {
        if ([] === $this->events && Reason::TakeIn === $line->reason) {
            $this->events[] = LifeEvent::cameIn($line->at);
        }
        if (null !== $line->kit && ($line->to->isTray() || $line->from->isTray())) {
            $this->stayWith($line->kit, $line);
        }
        if (Reason::Lose === $line->reason) {
            $this->lost ??= array_push($this->events, LifeEvent::lost($line->at)) - 1;
        }
        if (Reason::FindAgain === $line->reason && null !== $this->lost) {
            $this->events[$this->lost] = $this->events[$this->lost]->ended($line->at, $line->to->label);
            $this->lost = null;
        }
    }

    /** A stay lasts until the last of it has left the tray; one to which more is pulled afterwards goes on. */
    private function stayWith(int $kit, LifeLine $line): void
    {
        $this->onTray[$kit] = ($this->onTray[$kit] ?? 0) + ($line->to->isTray() ? $line->quantity : 0) - ($line->from->isTray() ? $line->quantity : 0);
        $at = $this->stays[$kit] ??= array_push($this->events, LifeEvent::withKit($line->at, $kit)) - 1;
        $event = $this->events[$at];
        $this->events[$at] = $this->onTray[$kit] > 0 ? LifeEvent::withKit($event->from, $kit) : $event->ended($line->at);
    }
}
