<?php

declare(strict_types=1);

namespace App\Platform\Story;

use App\Platform\Security\Account;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\WriteOnce;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Uid\Uuid;

/** The time at which something of the demo room's story happens, and who does it. */
final class DemoTime
{
    private readonly \DateTimeImmutable $today;
    private readonly MockClock $clock;

    public function __construct(private readonly WriteOnce $once, private readonly EntityManagerInterface $entities)
    {
        $this->today = new \DateTimeImmutable('today', new \DateTimeZone('UTC'));
        $this->clock = new MockClock($this->today);
    }

    /** @param callable(): void $story is told by this clock */
    public function during(callable $story): void
    {
        $real = Clock::get();
        Clock::set($this->clock);
        try {
            $story();
        } finally {
            Clock::set($real);
        }
    }

    /** @param callable(Step): mixed $work */
    public function do(string $login, callable $work): void
    {
        $who = $this->entities->getRepository(Account::class)->findOneBy(['login' => $login])
            ?? throw new \LogicException("The demo room has no “{$login}”.");
        $this->once->do((string) Uuid::v7(), $who, static function (Step $step) use ($work): Outcome {
            $work($step);

            return Outcome::undoable('', '');
        });
        $this->entities->clear();
    }

    /** @param int $day from today */
    public function day(int $day): \DateTimeImmutable
    {
        return $this->today->add(\DateInterval::createFromDateString(\sprintf('%+d days', $day)) ?: throw new \LogicException('A day is a day.'));
    }

    public function at(int $day, int $minute): void
    {
        $this->clock->modify($this->today->modify(\sprintf('%+d days', $day))->modify(\sprintf('+%d minutes', $minute))->format('Y-m-d H:i:s'));
    }

    public function pass(int $minutes): void
    {
        $this->clock->sleep(60 * $minutes);
    }
}
