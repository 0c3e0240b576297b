<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Furniture\Cell;
use Lottel\Core\Furniture\Front;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Measure\Length;

/** Anything that a thing can be in: storage, a tray, the heap of what is not filed, or outside. Lengths in ticks. */
#[ORM\Entity]
#[ORM\Index(name: 'place_unit', columns: ['unit_id'])]
#[ORM\Index(name: 'place_parent', columns: ['parent_id'])]
class Place
{
    /** The kind of a place that stands for a person who has things of the room. */
    public const PERSON = 'person';

    /** The kind of a place in which things are carried from home to home. */
    public const BASKET = 'basket';

    /** Where what one parts with waits until it is gone; to the log they are baskets. */
    public const PARTING = ['give-away box', 'recycling box', 'selling box'];

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\ManyToOne]
    public ?Place $parent = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontX = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontY = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontWidth = null;

    #[ORM\Column(nullable: true)]
    public ?int $frontHeight = null;

    #[ORM\Column(options: ['default' => 0])]
    public int $layer = 0;

    #[ORM\Column(length: 60, options: ['default' => 'name'])]
    public string $scheme = 'name';

    #[ORM\Column(length: 20, nullable: true)]
    public ?Kind $saysKind = null;

    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $saysMaker = '';

    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $saysTheme = '';

    #[ORM\Column(length: 20, options: ['default' => ''])]
    public string $saysColour = '';

    /** @var list<string> kinds that belong here, too; new things are taken to be of the first one */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $alsoKinds = [];

    #[ORM\Column(nullable: true)]
    public ?int $innerWidth = null;

    #[ORM\Column(nullable: true)]
    public ?int $innerHeight = null;

    #[ORM\Column(nullable: true)]
    public ?int $innerDepth = null;

    /** Where it lies in the place around it, seen from above with the front at the bottom, in thousandths. */
    #[ORM\Column(nullable: true)]
    public ?int $cellX = null;

    #[ORM\Column(nullable: true)]
    public ?int $cellY = null;

    #[ORM\Column(nullable: true)]
    public ?int $cellWidth = null;

    #[ORM\Column(nullable: true)]
    public ?int $cellHeight = null;

    #[ORM\Column(nullable: true)]
    public ?int $mostGrams = null;

    /** Share that is kept free, in percent. */
    #[ORM\Column(options: ['default' => 20])]
    public int $roomToGrow = 20;

    #[ORM\Column(length: 10, options: ['default' => ''])]
    public string $season = '';

    /** Whether things of the season at hand come here, and go back when it is over. */
    #[ORM\Column(options: ['default' => false])]
    public bool $isForSeason = false;

    #[ORM\Column(options: ['default' => false])]
    public bool $isChildSafe = false;

    /** For a basket of new things: after so many uses a thing is to be filed elsewhere. */
    #[ORM\Column(nullable: true)]
    public ?int $fileAfterUses = null;

    /** As it stands open, seen from above with the front at the bottom. */
    #[ORM\Column(length: 40, nullable: true)]
    public ?string $photo = null;

    /** Of a tray, folder, basket or box, which is called by it. */
    #[ORM\Column(nullable: true)]
    public ?int $number = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $retiredAt = null;

    private function __construct(
        #[ORM\ManyToOne]
        public ?Unit $unit,
        #[ORM\Column(length: 10)]
        public PlaceNature $nature,
        #[ORM\Column(length: 20)]
        public string $kind,
        #[ORM\Column(length: 24)]
        public string $address,
        #[ORM\Column(length: 120)]
        public string $name,
    ) {
    }

    public static function inUnit(Unit $unit, string $kind, string $address, string $name, ?Front $front): self
    {
        $place = new self($unit, PlaceNature::Storage, $kind, $address, $name);
        $place->putFront($front);

        return $place;
    }

    public static function within(self $outer, string $kind, string $address, string $name): self
    {
        $place = new self($outer->unit, PlaceNature::Storage, $kind, $address, $name);
        $place->parent = $outer;
        $place->sayAs($outer);
        $place->isChildSafe = $outer->isChildSafe;

        return $place;
    }

    public static function tray(int $number): self
    {
        return self::numbered('tray', 'tray', $number);
    }

    /** Where a pulled kit waits off the table. */
    public static function folder(int $number): self
    {
        return self::numbered('folder', 'folder', $number);
    }

    /** What stands in the log for a person to whom things are lent. */
    public static function withPerson(string $address, string $name): self
    {
        return new self(null, PlaceNature::Tray, self::PERSON, $address, $name);
    }

    /** In which things are carried on an errand. */
    public static function basket(int $number): self
    {
        return self::numbered(self::BASKET, 'basket', $number);
    }

    /** In which things travel when the room moves; to the log it is a basket. */
    public static function movingBox(int $number): self
    {
        return self::numbered(self::BASKET, 'box', $number);
    }

    private static function numbered(string $kind, string $word, int $number): self
    {
        $place = new self(null, PlaceNature::Tray, $kind, $word.' '.$number, $word.' '.$number);
        $place->number = $number;

        return $place;
    }

    /** Where what one parts with waits until it is gone. */
    public static function parting(string $address): self
    {
        return new self(null, PlaceNature::Tray, self::BASKET, $address, $address);
    }

    public function dedicateTo(string $season): void
    {
        $this->season = $season;
    }

    public function keepForSeason(bool $isKept): void
    {
        $this->isForSeason = $isKept;
    }

    public function bear(?int $mostGrams): void
    {
        $this->mostGrams = $mostGrams;
    }

    /** How many lie above it in the place around it, from 0. */
    public function lieInLayer(int $layer): void
    {
        $this->layer = $layer;
    }

    public function standIn(?Unit $unit): void
    {
        $this->unit = $unit;
    }

    public function readdress(string $address): void
    {
        $this->address = $address;
    }

    public function isFolder(): bool
    {
        return 'folder' === $this->kind && PlaceNature::Tray === $this->nature;
    }

    public function putFront(?Front $front): void
    {
        $this->frontX = $front?->x->ticks;
        $this->frontY = $front?->y->ticks;
        $this->frontWidth = $front?->width->ticks;
        $this->frontHeight = $front?->height->ticks;
    }

    public function front(): ?Front
    {
        return null === $this->frontX || null === $this->frontY || null === $this->frontWidth || null === $this->frontHeight
            ? null
            : new Front(
                Length::ofTicks($this->frontX),
                Length::ofTicks($this->frontY),
                Length::ofTicks($this->frontWidth),
                Length::ofTicks($this->frontHeight),
            );
    }

    public function putInside(?Box $inside): void
    {
        $this->innerWidth = $inside?->width->ticks;
        $this->innerHeight = $inside?->height->ticks;
        $this->innerDepth = $inside?->depth->ticks;
    }

    public function inside(): ?Box
    {
        return null === $this->innerWidth || null === $this->innerHeight || null === $this->innerDepth
            ? null
            : new Box(Length::ofTicks($this->innerWidth), Length::ofTicks($this->innerHeight), Length::ofTicks($this->innerDepth));
    }

    public function putCell(Cell $cell): void
    {
        [$this->cellX, $this->cellY, $this->cellWidth, $this->cellHeight, $this->layer] = [$cell->x, $cell->y, $cell->width, $cell->height, $cell->layer];
    }

    /** Whether that is what is said of it already. */
    public function says(PlaceWords $said): bool
    {
        return [$said->name, $said->kind, $said->maker, $said->theme, (string) $said->scheme]
            === [$this->name, $this->saysKind, $this->saysMaker, $this->saysTheme, $this->scheme];
    }

    /** Says what it is called and what lives in it, and leaves all else as it is. Returns whether its name is another one now. */
    public function call(PlaceWords $said): bool
    {
        $isRenamed = $said->name !== $this->name;
        [$this->name, $this->saysKind, $this->saysMaker, $this->saysTheme] = [$said->name, $said->kind, $said->maker, $said->theme];
        $this->scheme = (string) $said->scheme;
        $this->alsoKinds = array_values(array_filter($this->alsoKinds, static fn (string $also): bool => $also !== $said->kind?->value));

        return $isRenamed;
    }

    /** @return bool whether it has another name now */
    public function describe(PlaceDescription $said): bool
    {
        $isRenamed = $said->name !== $this->name;
        $this->name = $said->name;
        $this->scheme = (string) $said->scheme;
        $this->saysKind = $said->kind;
        $this->saysMaker = $said->maker;
        $this->saysTheme = $said->theme;
        $this->saysColour = $said->colour->value ?? '';
        $this->season = $said->season->value ?? '';
        $this->alsoKinds = array_values(
            array_map(
                static fn (Kind $kind): string => $kind->value,
                array_filter($said->alsoKinds, static fn (Kind $kind): bool => $kind !== $said->kind),
            ),
        );
        [$this->innerWidth, $this->innerHeight, $this->innerDepth] = [$said->width?->ticks, $said->height?->ticks, $said->depth?->ticks];
        $this->mostGrams = $said->mostGrams;
        $this->roomToGrow = $said->roomToGrow;
        $this->fileAfterUses = $said->fileAfterUses;
        $this->isChildSafe = $said->isChildSafe;

        return $isRenamed;
    }

    /** It is no longer in use; its address is free again. */
    public function retire(\DateTimeImmutable $at): void
    {
        $this->retiredAt = $at;
        $this->putFront(null);
        $this->address = RetiredAddress::of($this->address, (int) $this->id);
        $this->parent = null;
    }

    /** It goes into another place; where in it, is not known yet. */
    public function goInto(self $outer): void
    {
        $this->parent = $outer;
        [$this->cellX, $this->cellY, $this->cellWidth, $this->cellHeight] = [null, null, null, null];
    }

    /** Whether nobody has said what it is called, or what belongs in it. */
    public function saysNothing(): bool
    {
        return '' === $this->name.$this->saysMaker.$this->saysTheme.$this->saysColour && null === $this->saysKind;
    }

    /** Takes over what another place says about what belongs in it. */
    public function sayAs(self $other): void
    {
        [$this->scheme, $this->saysKind, $this->saysMaker, $this->saysTheme, $this->saysColour] = [
            $other->scheme,
            $other->saysKind,
            $other->saysMaker,
            $other->saysTheme,
            $other->saysColour,
        ];
        $this->alsoKinds = $other->alsoKinds;
    }

    /** It takes the place of another one: what that is called, what belongs in it, and for which season. */
    public function takeOver(self $old): void
    {
        $this->sayAs($old);
        [$this->name, $this->season, $this->isForSeason] = [$old->name, $old->season, $old->isForSeason];
    }

    /** @return string|null the photo that was shown before */
    public function show(?string $photo): ?string
    {
        [$old, $this->photo] = [$this->photo, $photo];

        return $old;
    }

    /** A tray says of its kind what its drawer says, until somebody says otherwise: a name that tells another kind counts more. */
    public function rule(): PlaceRule
    {
        $rule = new PlaceRule($this->saysKind, $this->saysMaker, $this->saysTheme, $this->season);

        return $this->saysKind === $this->parent?->saysKind ? $rule->yielding() : $rule;
    }

    public function forLog(): Log\LoggedPlace
    {
        return new Log\LoggedPlace(
            (int) $this->id,
            $this->nature,
            RetiredAddress::onLabel($this->address),
            null !== $this->retiredAt,
            self::PERSON === $this->kind,
            self::BASKET === $this->kind,
        );
    }

    /** Whether things are pulled from it, and put back into it: a place of the furniture, or the heap, that is in use. */
    public function isStoreInUse(): bool
    {
        return $this->forLog()->isStore() && null === $this->retiredAt;
    }

    /** Whether it lies in another place, at whatever depth, or is that one. */
    public function isWithin(self $outer): bool
    {
        return $this === $outer || true === $this->parent?->isWithin($outer);
    }

    /** How high the middle of the front is that is seen around it, in millimetres above the floor; 0 where it is not known. */
    public function heightMm(): int
    {
        $front = $this->front();
        if (null === $front || null === $this->unit) {
            return $this->parent?->heightMm() ?? 0;
        }

        return $front->middleAboveFloor(Length::ofTicks($this->unit->height), Length::ofTicks($this->unit->aboveFloor))->wholeMillimetres();
    }

    /** Whether things may be kept in it, and it may be described and changed: a place of the furniture that is in use. */
    public function isStorageInUse(): bool
    {
        return PlaceNature::Storage === $this->nature && null === $this->retiredAt;
    }
}
