<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Colour\Family;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Filing\InvalidScheme;

/** Reads what a person writes down about a place. */
final class PlaceForm
{
    /**
     * @throws InvalidInput of everything that cannot be read
     * @throws InvalidScheme if it cannot be filed so
     */
    public static function description(Input $input): PlaceDescription
    {
        $said = new PlaceDescription(
            name: $input->text('name', 120),
            scheme: FilingScheme::parse(
                implode(',', array_filter([$input->text('scheme', 20), $input->text('scheme_then', 20)], static fn (string $by): bool => '' !== $by)),
            ),
            kind: Kind::tryFrom($input->text('says_kind', 20)),
            maker: $input->text('says_maker', 120),
            theme: $input->text('says_theme', 120),
            colour: Family::tryFrom($input->text('says_colour', 20)),
            season: Season::tryFrom($input->text('season', 10)),
            alsoKinds: array_values(
                array_filter(array_map(Kind::tryFrom(...), array_unique($input->list('also_kinds'))), static fn (?Kind $kind): bool => null !== $kind),
            ),
            width: $input->length('inner_width', 5000),
            height: $input->length('inner_height', 5000),
            depth: $input->length('inner_depth', 5000),
            mostGrams: $input->grams('most_grams', 500_000),
            roomToGrow: '' === $input->text('room_to_grow', 2) ? PlaceDescription::ROOM_TO_GROW : $input->whole('room_to_grow', 0, 90),
            fileAfterUses: '' === $input->text('file_after_uses', 2) ? null : $input->whole('file_after_uses', 1, 99),
            isChildSafe: $input->isTicked('is_child_safe'),
        );
        $input->check();

        return $said;
    }
}
