<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Web\Measures;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** What a page of the search was asked, with what of it cannot be read. */
final readonly class FindForm
{
    private const FIELDS = ['q', 'kind', 'theme', 'colour', 'panel', 'state', 'unused', 'order'];
    private const MOST_CHARACTERS = 200;

    /**
     * @param array<string, string> $fields those that say something
     * @param array<string, string> $errors by field
     */
    private function __construct(public array $fields, public FindFilter $filter, public array $errors)
    {
    }

    /** @param array<mixed> $asked */
    public static function read(array $asked, Measures $measures, ColourWords $colours): self
    {
        $fields = self::fields($asked);
        $errors = [];
        $colour = self::colour($fields['colour'] ?? '', $colours, $errors);
        $panel = self::panel($fields['panel'] ?? '', $measures, $errors);
        $state = \in_array($fields['state'] ?? '', FindFilter::STATES, true) ? $fields['state'] : '';
        $unused = 1 === preg_match('/^\d{1,3}$/D', $fields['unused'] ?? '') ? max(1, (int) $fields['unused']) : null;
        $filter = new FindFilter(
            trim($fields['q'] ?? ''),
            Kind::tryFrom($fields['kind'] ?? ''),
            $fields['theme'] ?? '',
            $colour,
            $panel,
            $state,
            $unused,
            'walk' === ($fields['order'] ?? ''),
        );

        return new self($fields, $filter, $errors);
    }

    /**
     * @param array<mixed> $asked
     *
     * @return array<string, string> what the page knows of it
     */
    public static function fields(array $asked): array
    {
        $fields = [];
        foreach (self::FIELDS as $field) {
            $value = $asked[$field] ?? '';
            if (\is_string($value) && '' !== $value) {
                $fields[$field] = mb_substr(mb_scrub($value), 0, self::MOST_CHARACTERS);
            }
        }

        return $fields;
    }

    /** @param array<string, string> $errors */
    private static function colour(string $typed, ColourWords $colours, array &$errors): ?ColourWanted
    {
        try {
            return '' === $typed ? null : ColourWanted::read($typed, $colours);
        } catch (InvalidColour $wrong) {
            $errors['colour'] = $wrong->getMessage();

            return null;
        }
    }

    /** @param array<string, string> $errors */
    private static function panel(string $typed, Measures $measures, array &$errors): ?Size
    {
        $sides = array_values(array_filter(array_map(trim(...), preg_split('/[×x*]|\bby\b/u', $typed) ?: []), static fn (string $side): bool => '' !== $side));
        if ([] === $sides) {
            return null;
        }
        if (2 !== \count($sides)) {
            $errors['panel'] = \sprintf('Write it like %s.', $measures->usual()->exampleOfPiece());

            return null;
        }
        try {
            [$width, $height] = array_map(static fn (string $side): Length => Length::parse($side, $measures->measure()), $sides);

            return new Size(Length::ofTicks(max(1, $width->ticks)), Length::ofTicks(max(1, $height->ticks)));
        } catch (InvalidLength $wrong) {
            $errors['panel'] = $wrong->getMessage();

            return null;
        }
    }
}
