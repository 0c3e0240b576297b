<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\FullText;
use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Words\Spelling;
use Symfony\Contracts\Service\ResetInterface;

/** Makes a question to the full-text index out of what was typed; words that the index does not know are taken for their neighbours. */
final class SpeltWords implements ResetInterface
{
    private const TOO_SHORT_TO_MISSPELL = 4;

    /** @var array<string, Question> by text, for the results and their counts */
    private array $asked = [];

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->asked = [];
    }

    public function question(string $text): Question
    {
        return $this->asked[$text] ??= $this->spelt($text);
    }

    private function spelt(string $text): Question
    {
        $instead = $parts = [];
        foreach (FullText::words($text) as $word) {
            $near = $this->isKnown($word) ? [] : $this->nearest($word);
            if ([] !== $near) {
                $instead[$word] = $near;
            }
            $parts[] = FullText::any([] === $near ? [$word] : $near);
        }

        return new Question($parts, $instead);
    }

    /** @return list<string> */
    private function nearest(string $word): array
    {
        return Spelling::nearest($word, $this->vocabulary(mb_substr($word, 0, 1))) ?: Spelling::nearest($word, $this->vocabulary(''));
    }

    private function isKnown(string $word): bool
    {
        return mb_strlen($word) < self::TOO_SHORT_TO_MISSPELL
            || false !== $this->database->fetchOne('SELECT 1 FROM finder_word WHERE term >= ? AND term < ? || char(1114111) LIMIT 1', [$word, $word]);
    }

    /** @return list<string> the words of the index that begin with a letter, or all of them */
    private function vocabulary(string $first): array
    {
        $rows = '' === $first
            ? $this->database->fetchAllAssociative('SELECT term FROM finder_word')
            : $this->database->fetchAllAssociative('SELECT term FROM finder_word WHERE term >= :first AND term < :first || char(1114111)', ['first' => $first]);

        return Row::each($rows, static fn (Row $row): string => $row->text('term'));
    }
}
