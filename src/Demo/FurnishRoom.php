<?php

declare(strict_types=1);

namespace App\Demo;

use App\Catalogue\DescribeItem;
use App\Catalogue\Item;
use App\Catalogue\TakeIn;
use App\Find\FindIndex;
use App\People\Newcomer;
use App\People\OpenRoom;
use App\Security\Account;
use App\Security\Role;
use App\Steps\Step;
use App\Stores\ArrangeRoom;
use App\Stores\BuildUnit;
use App\Stores\Place;
use App\Stores\Room;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\UnitSize;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Room\RoomLayout;
use Lottel\Core\Upkeep\Hazard;

/** Sets up the demo room: its people, furniture and things. */
final readonly class FurnishRoom
{
    public function __construct(
        private DemoFiles $files,
        private OpenRoom $open,
        private BuildUnit $build,
        private ArrangeRoom $arrange,
        private TakeIn $takeIn,
        private DescribeItem $describe,
        private FindIndex $index,
        private EntityManagerInterface $entities,
        private Connection $database,
    ) {
    }

    public function people(): void
    {
        $file = $this->files->yaml('room');
        foreach ($file['people'] as $person) {
            $newcomer = new Newcomer($person['login'], $person['name'], $person['password']);
            if ('owner' === $person['role']) {
                ($this->open)($file['room']['name'], LengthUnit::from($file['room']['measure']), 'UTC', $newcomer);
            } else {
                $this->open->welcome($newcomer, Role::Helper);
            }
        }
        $this->entities->flush();
    }

    public function furniture(): void
    {
        $file = $this->files->yaml('room');
        $room = $this->entities->getRepository(Room::class)->findOneBy([]) ?? throw new \LogicException('The room comes first.');
        $spots = [];
        foreach ($file['units'] as $unit) {
            $heights = array_map(static fn (int $millimetres): Length => Length::ofTenthMillimetres(10 * $millimetres), $unit['heights'] ?? []);
            $places = ($this->build)($room, UnitTemplate::from($unit['template']), $unit['letters'], $unit['name'], $unit['wall'], $unit['rows'], $unit['columns'] ?? 1, new UnitSize(rowHeights: array_values($heights)));
            \assert(null !== $places[0]->unit);
            $places[0]->unit->caution = $unit['caution'] ?? '';
            $spots[(int) $places[0]->unit->id] = $unit['at'];
        }
        ($this->arrange)($room, RoomLayout::fromArray($file['plan']), $spots);
        $this->entities->flush();
        foreach ($file['places'] as $address => $said) {
            $this->label($this->place((string) $address), $said);
        }
        foreach ($file['inner'] as $inner) {
            $this->build->divide($this->place($inner['in']), $inner['label'], $inner['kind'], $inner['name'], $inner['layer'] ?? 0);
        }
        $this->entities->flush();
        $this->database->executeStatement('DELETE FROM label_wish WHERE place_id NOT IN (SELECT id FROM place WHERE address IN (SELECT value FROM json_each(?)))', [json_encode($file['labels_to_print'])]);
    }

    public function things(Step $step): void
    {
        $colours = $this->files->yaml('colours');
        foreach ($this->files->things() as $thing) {
            $this->thing($step, $thing, $colours);
        }
    }

    public function companions(): void
    {
        $this->database->executeStatement('DELETE FROM label_wish WHERE item_id IS NOT NULL');
        foreach ($this->files->yaml('story')['companions'] as [$one, $other]) {
            $this->describe->belongTogether($this->item($one), $this->item($other));
        }
    }

    public function item(string $name): Item
    {
        return $this->entities->getRepository(Item::class)->findOneBy(['name' => $name]) ?? throw new \LogicException("The demo room has no “{$name}”.");
    }

    public function place(string $address): Place
    {
        return $this->entities->getRepository(Place::class)->findOneBy(['address' => $address]) ?? throw new \LogicException("The demo room has no place “{$address}”.");
    }

    public function person(string $login): Account
    {
        return $this->entities->getRepository(Account::class)->findOneBy(['login' => $login]) ?? throw new \LogicException("The demo room has no “{$login}”.");
    }

    /** @param array<string, mixed> $said */
    private function label(Place $place, array $said): void
    {
        $place->name = $said['name'];
        $place->scheme = (string) FilingScheme::parse($said['scheme'] ?? 'name');
        $place->saysKind = isset($said['kind']) ? Kind::from($said['kind']) : null;
        $place->saysMaker = $said['maker'] ?? '';
        $place->saysTheme = $said['theme'] ?? '';
        $place->fileAfterUses = $said['file_after_uses'] ?? null;
        $place->season = $said['season'] ?? '';
        $this->index->place($place);
    }

    /**
     * @param array{address: string, name: string, maker: string, quantity: string, themes: list<string>, colour: string, words: string} $thing
     * @param array<string, mixed> $colours
     */
    private function thing(Step $step, array $thing, array $colours): void
    {
        $place = $this->place($thing['address']);
        $words = array_map(trim(...), explode(',', $thing['words']));
        $kind = $this->firstKind($words) ?? $place->saysKind ?? Kind::Other;
        $tracking = \in_array('count', $words, true) ? Tracking::Count : $kind->usualTracking();
        $item = new Item($thing['name'], $kind, $tracking, $place);
        $item->maker = '' === $thing['maker'] ? $place->saysMaker : $thing['maker'];
        $item->themes = [] === $thing['themes'] && '' !== $place->saysTheme ? [$place->saysTheme] : $thing['themes'];
        $item->colourName = $thing['colour'];
        $item->colour = isset($colours[$thing['colour']]) ? (string) $colours[$thing['colour']] : null;
        $item->sentiments = Kind::StampSet === $place->saysKind ? str_replace(' / ', "\n", $thing['words']) : '';
        $item->note = Kind::Paper === $place->saysKind ? $thing['words'] : '';
        $hazards = array_values(array_filter($words, static fn (string $word): bool => null !== Hazard::tryFrom($word)));
        $item->hazards = array_values(array_unique([...$item->hazards, ...$hazards]));
        $this->entities->persist($item);
        $this->index->item($item);
        $quantity = (new QuantityText(LengthUnit::Inch))->parse(Tracking::One === $tracking ? '1' : $thing['quantity'], $tracking);
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
