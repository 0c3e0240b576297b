<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Security\Account;
use App\Platform\Security\Role;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** The calendars that are given out, and the words that open them. */
final readonly class Feeds
{
    public const MOST = 20;

    public function __construct(private EntityManagerInterface $entities, #[\SensitiveParameter] private string $secret)
    {
    }

    /** @return list<Feed> those of one person that still answer */
    public function of(Account $account): array
    {
        return $this->entities->getRepository(Feed::class)->findBy(['account' => $account, 'stoppedAt' => null], ['id' => 'ASC']);
    }

    /** @return list<Feed> those of all other people that still answer */
    public function ofOthers(Account $account): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Feed::class)->findBy(['stoppedAt' => null], ['id' => 'ASC']),
            static fn (Feed $feed): bool => $feed->account !== $account && null === $feed->account->leftAt,
        ));
    }

    public function give(Account $account, string $name, \DateTimeImmutable $at): Feed
    {
        $this->entities->persist($feed = new Feed($account, $name, bin2hex(random_bytes(16)), $at));

        return $feed;
    }

    /** @throws Unknown if that person may stop no such feed that still answers: one's own, and whoever owns the room all */
    public function one(Account $account, int $id): Feed
    {
        $feed = $this->entities->find(Feed::class, $id);

        return null === $feed || ($feed->account !== $account && Role::Owner !== $account->role) || null !== $feed->stoppedAt ? throw Unknown::feed() : $feed;
    }

    /** Returns the feed that a word opens; null where it is another word, was stopped, or its owner left. */
    public function opened(int $id, #[\SensitiveParameter] string $word): ?Feed
    {
        $feed = $this->entities->find(Feed::class, $id);
        $isRight = null !== $feed && hash_equals($this->wordOf($feed), $word);

        return $isRight && null === $feed->stoppedAt && null === $feed->account->leftAt ? $feed : null;
    }

    /** The word in the address of a feed that nobody guesses. */
    public function wordOf(Feed $feed): string
    {
        $hash = hash_hmac('sha256', 'feed:'.$feed->salt, $this->secret, true);

        return rtrim(strtr(base64_encode($hash), '+/', '-_'), '=');
    }
}
