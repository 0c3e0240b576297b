<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindFields;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Sheet;

/** Reads what a person writes down about an item. */
final class ItemForm
{
    /**
     * @param Sheet $before what is known of it: its outline stays as long as its size does
     *
     * @throws InvalidInput of everything that cannot be read
     */
    public static function record(Input $input, Sheet $before = new Sheet()): ItemRecord
    {
        $kind = $input->choice('kind', Kind::class);
        $record = new ItemRecord(
            name: $input->text('name', 200, true),
            kind: $kind,
            maker: $input->text('maker', 120),
            themes: self::themes($input->text('themes', 300)),
            colour: $input->colour('colour'),
            colourName: $input->colourWords()->spelt($input->text('colour_name', 60)),
            isMulticolour: $input->isTicked('is_multicolour'),
            sentiments: $input->text('sentiments', 4000),
            note: $input->text('note', 4000),
            hazards: array_values(array_filter($input->list('hazards'), static fn (string $hazard): bool => null !== Hazard::tryFrom($hazard))),
            collection: $input->text('collection', 120),
            season: '' === $input->text('season', 10) ? '' : $input->choice('season', Season::class)->value,
            width: $input->length('width', 2000)?->ticks,
            height: $input->length('height', 2000)?->ticks,
            depth: $input->length('depth', 2000)?->ticks,
            grams: $input->grams('grams', 200_000),
            details: self::details($input, $kind),
            sheet: $kind->isSheet() ? self::sheet($input, $before) : new Sheet(),
            cutSizes: Kind::Die === $kind ? $input->cutSizes('cut_sizes') : null,
        );
        $input->check();

        return $record;
    }

    /**
     * Reads one word of a record; the others stay as they are.
     *
     * @throws InvalidInput if it cannot be read
     */
    public static function word(Input $input, ItemRecord $record): ItemRecord
    {
        $changed = match ($input->choice('word', RecordWord::class)) {
            RecordWord::Name => $record->with(name: $input->text('name', 200, true)),
            RecordWord::Maker => $record->with(maker: $input->text('maker', 120)),
            RecordWord::Themes => $record->with(themes: self::themes($input->text('themes', 300))),
            RecordWord::Colour => $record->coloured($input->colour('colour')),
            RecordWord::Words => $record->with(sentiments: $input->text('sentiments', 4000)),
            RecordWord::Note => $record->with(note: $input->text('note', 4000)),
            RecordWord::Size => $record->measured($record->sheet->sized($input->sheetSize('size'))),
            RecordWord::Weight => $record->measured($record->sheet->weighing($input->grammage('weight'))),
            RecordWord::Cuts => self::cutting($input, $record, 'cuts'),
            RecordWord::Direction => $record->measured($record->sheet->running(Direction::tryFrom($input->text('direction', 4)))),
        };
        $input->check();

        return $changed;
    }

    /** Reads what a die cuts; what is no die is refused beside the field. */
    public static function cutting(Input $input, ItemRecord $record, string $field): ItemRecord
    {
        if (Kind::Die !== $record->kind) {
            $input->refuse($field, \sprintf('%s is no die.', $record->name));
        }

        return $record->cutting($input->cutSizes($field));
    }

    private static function sheet(Input $input, Sheet $before): Sheet
    {
        $size = $input->sheetSize('sheet_size');
        $weight = $input->grammage('sheet_weight');

        return new Sheet(
            $size,
            $weight,
            Direction::tryFrom($input->text('sheet_direction', 4)),
            $input->colour('sheet_back'),
            $input->text('sheet_finish', 60),
            true === $size?->equals($before->size) ? $before->outline : null,
            $before->isWeighed && $weight?->exact() === $before->weight?->exact(),
        );
    }

    /** @return list<string> */
    private static function themes(string $text): array
    {
        return array_values(array_unique(array_filter(array_map(trim(...), explode(',', $text)), static fn (string $theme): bool => '' !== $theme)));
    }

    /** @return array<string, string> */
    private static function details(Input $input, Kind $kind): array
    {
        $details = [];
        foreach (array_keys(KindFields::of($kind)) as $field) {
            $details[$field] = $input->text('detail_'.str_replace(' ', '_', $field), KindFields::MOST_CHARACTERS);
        }

        return array_filter($details, static fn (string $detail): bool => '' !== $detail);
    }
}
