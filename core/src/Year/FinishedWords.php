<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** What a finished piece is, by its name and by what its kit makes. */
final class FinishedWords
{
    /** What cards are made for (common practice, no source). */
    private const OCCASIONS = [
        'birthdays?' => 'birthday',
        'thank[- ]?yous?|thanks' => 'thank you',
        'get[- ]well' => 'get well',
        'sympathy|condolences?' => 'condolence',
        'weddings?' => 'wedding',
        'anniversar(?:y|ies)' => 'anniversary',
        'christmas|xmas' => 'christmas',
        'easter' => 'easter',
        'valentines?' => 'valentine',
        'new baby|baby|babies' => 'baby',
        'congratulations?' => 'congratulations',
        'new home' => 'new home',
        'good luck' => 'good luck',
        'harvest(?: supper)?' => 'harvest',
    ];

    private const PAGES = ['page', 'layout', 'spread', 'album'];

    /** Whether it goes into an album and not to a person: by its name, or by what the kit makes that made it. */
    public static function isPage(string $name, string $makes = ''): bool
    {
        $made = preg_split('/,| with | for | from | of /u', mb_strtolower($makes))[0] ?? '';
        $said = preg_split('/[^\p{L}]+/u', mb_strtolower($name).' '.$made, -1, \PREG_SPLIT_NO_EMPTY) ?: [];

        return [] !== array_filter($said, static fn (string $word): bool => \in_array(rtrim($word, 's'), self::PAGES, true));
    }

    /** Returns the occasion that words speak of, such as `thank you` of “6 thank you cards”; empty where they speak of none. */
    public static function occasion(string $words): string
    {
        foreach (self::OCCASIONS as $pattern => $occasion) {
            if (1 === preg_match('/(?<!\p{L})(?:'.$pattern.')(?!\p{L})/iu', $words)) {
                return $occasion;
            }
        }

        return '';
    }

    /** Returns what a drawer of finished pieces is for by its name; nothing where it only says that they are finished. */
    public static function occasionOfDrawer(string $name): string
    {
        return 1 === preg_match('/^\s*(?:finished|ready|done|made)?\s*(?:cards?|pieces?|tags?|pages?|things?)?\s*$/iu', $name) ? '' : $name;
    }
}
