<?php

declare(strict_types=1);

namespace App\Platform\Demo;

use App\People\Accounts\Newcomer;
use App\People\Accounts\OpenRoom;
use App\Platform\Security\Role;
use App\Platform\Steps\Step;
use App\Platform\Story\Said;
use App\Room\Catalogue\DescribeItem;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\TakeIn;
use App\Room\Find\FindIndex;
use App\Room\Stores\ArrangeRoom;
use App\Room\Stores\BuildUnit;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceDescription;
use App\Room\Stores\Places;
use App\Room\Stores\Room;
use App\Room\Stores\Rooms;
use App\Room\Stores\Unit;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\UnitSize;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Room\RoomLayout;

/** Sets up the demo room: its people, furniture and things. */
final readonly class FurnishRoom
{
    private const AT_ONCE = 10;

    public function __construct(
        private DemoFiles $files,
        private OpenRoom $open,
        private BuildUnit $build,
        private ArrangeRoom $arrange,
        private TakeIn $takeIn,
        private DescribeItem $describe,
        private FindIndex $index,
        private Rooms $rooms,
        private Places $places,
        private Items $items,
        private EntityManagerInterface $entities,
        private Connection $database,
    ) {
    }

    public function people(): void
    {
        $file = $this->files->yaml('room');
        $room = $file->part('room');
        foreach ($file->parts('people') as $person) {
            $newcomer = new Newcomer($person->text('login'), $person->text('name'), $person->text('password'));
            if (Role::Owner === Role::from($person->text('role'))) {
                ($this->open)($room->text('name'), LengthUnit::from($room->text('measure')), 'UTC', $newcomer);
            } else {
                $this->open->welcome($newcomer, Role::Helper);
            }
        }
        $this->entities->flush();
    }

    public function furniture(): void
    {
        $file = $this->files->yaml('room');
        $room = $this->rooms->all()[0] ?? throw new \LogicException('The room comes first.');
        $spots = [];
        foreach ($file->parts('units') as $said) {
            $unit = $this->unit($room, $said);
            [$x, $y, $turn] = $said->ints('at');
            $spots[(int) $unit->id] = [$x, $y, $turn];
        }
        ($this->arrange)($room, RoomLayout::fromArray($file->part('plan')->all()), $spots);
        $this->entities->flush();
        foreach ($file->parts('places') as $address => $said) {
            $this->label($this->place($address), $said);
        }
        foreach ($file->parts('inner') as $inner) {
            $part = $this->build->divide(
                $this->place($inner->text('in')),
                $inner->text('label'),
                $inner->text('kind'),
                $inner->text('name'),
                $inner->int('layer', 0),
            );
            $part->dedicateTo($inner->text('season', ''));
        }
        $this->entities->flush();
        $this->database->executeStatement(
            'DELETE FROM label_wish WHERE place_id NOT IN (SELECT id FROM place WHERE address IN (SELECT value FROM json_each(?)))',
            [json_encode($file->texts('labels_to_print'))],
        );
    }

    /** Some at a time: what Doctrine still holds is looked over again at each thing that is written. */
    public function things(Step $step): void
    {
        $colours = $this->files->yaml('colours');
        foreach (array_chunk($this->files->things(), self::AT_ONCE) as $things) {
            foreach ($things as $thing) {
                $this->thing($step, $thing, $colours);
            }
            $this->entities->flush();
            $this->entities->clear();
        }
    }

    public function companions(): void
    {
        $this->database->executeStatement('DELETE FROM label_wish WHERE item_id IS NOT NULL');
        foreach ($this->files->yaml('story')->parts('companions') as $pair) {
            $this->describe->belongTogether($this->item($pair->text('0')), $this->item($pair->text('1')));
        }
    }

    public function item(string $name): Item
    {
        return $this->items->named($name) ?? throw new \LogicException("The demo room has no “{$name}”.");
    }

    public function place(string $address): Place
    {
        return $this->places->at($address) ?? throw new \LogicException("The demo room has no place “{$address}”.");
    }

    private function unit(Room $room, Said $said): Unit
    {
        $heights = array_map(static fn (int $millimetres): Length => Length::ofTenthMillimetres(10 * $millimetres), $said->ints('heights'));
        $places = ($this->build)(
            $room,
            UnitTemplate::from($said->text('template')),
            $said->text('letters'),
            $said->text('name'),
            $said->text('wall'),
            $said->int('rows'),
            $said->int('columns', 1),
            new UnitSize(rowHeights: $heights),
        );
        $unit = $places[0]->unit ?? throw new \LogicException('A unit has places.');
        $unit->warn($said->text('caution', ''));

        return $unit;
    }

    private function label(Place $place, Said $said): void
    {
        $inside = $place->inside();
        $place->describe(new PlaceDescription(
            $said->text('name'),
            FilingScheme::parse($said->text('scheme', 'name')),
            Kind::tryFrom($said->text('kind', '')),
            $said->text('maker', ''),
            $said->text('theme', ''),
            season: Season::tryFrom($said->text('season', '')),
            width: $inside?->width,
            height: $inside?->height,
            depth: $inside?->depth,
            mostGrams: $said->has('carries') ? $said->int('carries') : $place->mostGrams,
            fileAfterUses: $said->has('file_after_uses') ? $said->int('file_after_uses') : null,
        ));
        $place->keepForSeason($said->has('for_season'));
        $this->index->place($place);
    }

    private function thing(Step $step, DemoThing $thing, Said $colours): void
    {
        $place = $this->place($thing->address);
        $words = array_map(trim(...), explode(',', $thing->words));
        $kind = $this->firstKind($words) ?? $place->saysKind ?? Kind::Other;
        $tracking = \in_array('count', $words, true) ? Tracking::Count : $kind->usualTracking();
        $item = new Item($thing->name, $kind, $tracking, $place);
        $hazards = array_values(array_filter($words, static fn (string $word): bool => null !== Hazard::tryFrom($word)));
        $item->describe($item->record()->with(
            maker: '' === $thing->maker ? $place->saysMaker : $thing->maker,
            themes: [] === $thing->themes && '' !== $place->saysTheme ? [$place->saysTheme] : $thing->themes,
            colour: $colours->has($thing->colour) ? $colours->text($thing->colour) : null,
            colourName: $thing->colour,
            sentiments: Kind::StampSet === $place->saysKind ? str_replace(' / ', "\n", $thing->words) : '',
            hazards: array_values(array_unique([...$item->hazards, ...$hazards])),
            sheet: $thing->sheet($kind),
            cutSizes: $thing->cutSizes(),
        ));
        $item->traceTo('' === $thing->parent() ? null : $this->item($thing->parent()));
        $this->entities->persist($item);
        $this->index->item($item);
        $quantity = (new QuantityText(LengthUnit::Inch))->parse(Tracking::One === $tracking ? '1' : $thing->quantity, $tracking);
        $this->takeIn->stock($step, $item, $place, $quantity, Kind::FinishedPiece === $kind ? Outside::MadeHere : Outside::Bought);
    }

    /** @param list<string> $words */
    private function firstKind(array $words): ?Kind
    {
        foreach ($words as $word) {
            if (null !== Kind::tryFrom($word)) {
                return Kind::from($word);
            }
        }

        return null;
    }
}
