<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\StepRefused;
use App\Room\Stores\Place;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\Sheet;

#[ORM\Entity]
#[ORM\Index(name: 'item_home', columns: ['home_id'])]
#[ORM\Index(name: 'item_name', columns: ['name'])]
#[ORM\Index(name: 'item_themes', columns: ['themes'])]
#[ORM\Index(name: 'item_season', columns: ['season'])]
#[ORM\Index(name: 'item_season_home', columns: ['season_home_id'])]
#[ORM\Index(name: 'item_parent', columns: ['parent_id'])]
#[ORM\Index(name: 'item_sheet', columns: ['kind', 'sheet_width'])]
#[ORM\Index(name: 'item_colour', columns: ['kind', 'colour'])]
#[ORM\Index(name: 'item_idle', columns: ['kind', 'used_at', 'since'])]
#[ORM\Index(name: 'item_facet', columns: ['kind', 'themes', 'since', 'used_at', 'removed_at'])]
#[ORM\Index(name: 'item_colour_name', columns: ['colour_name', 'colour', 'removed_at'])]
class Item
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $maker = '';

    /** @var list<string> */
    #[ORM\Column(type: 'json')]
    public array $themes = [];

    #[ORM\Column(length: 7, nullable: true)]
    public ?string $colour = null;

    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $colourName = '';

    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $sentiments = '';

    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $note = '';

    /** @var list<string> */
    #[ORM\Column(type: 'json')]
    public array $hazards;

    /** As it is put away: in ticks, width left to right, height upright, depth front to back. */
    #[ORM\Column(nullable: true)]
    public ?int $width = null;

    #[ORM\Column(nullable: true)]
    public ?int $height = null;

    #[ORM\Column(nullable: true)]
    public ?int $depth = null;

    #[ORM\Column(nullable: true)]
    public ?int $grams = null;

    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $collection = '';

    #[ORM\Column(length: 10, options: ['default' => ''])]
    public string $season = '';

    #[ORM\Column(options: ['default' => false])]
    public bool $isMulticolour = false;

    /** @var array<string, string> what is known of its kind alone, by field */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $details = [];

    #[ORM\Embedded(columnPrefix: false)]
    public SheetColumns $sheet;

    /** @var list<array{int, int}>|null what a die cuts, in ticks; null where nobody has said */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $cutSizes = null;

    /** The paper that a scrap was cut from. */
    #[ORM\ManyToOne(targetEntity: self::class)]
    public ?Item $parent = null;

    /** Where it lives when its season is over, as long as it is at home in a place for the season at hand. */
    #[ORM\ManyToOne]
    public ?Place $seasonHome = null;

    #[ORM\Column(length: 40, nullable: true)]
    public ?string $photo = null;

    /** Since when it is out of the catalogue; the log keeps it. */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    /** When it was last used, and when it first came in: kept by the database, from the log. */
    #[ORM\Column(nullable: true, insertable: false, updatable: false)]
    public ?\DateTimeImmutable $usedAt = null;

    #[ORM\Column(nullable: true, insertable: false, updatable: false)]
    public ?\DateTimeImmutable $since = null;

    public function __construct(
        #[ORM\Column(length: 200)]
        public string $name,
        #[ORM\Column(length: 20)]
        public Kind $kind,
        #[ORM\Column(length: 10)]
        public Tracking $tracking,
        #[ORM\ManyToOne]
        public ?Place $home,
    ) {
        $this->sheet = new SheetColumns();
        $this->hazards = array_map(static fn (Hazard $hazard): string => $hazard->value, $kind->usualHazards());
    }

    public function countAs(Tracking $tracking): void
    {
        $this->tracking = $tracking;
    }

    public function giveHome(?Place $home): void
    {
        $this->home = $home;
    }

    /** Where it goes when its season is over. */
    public function giveHomeAfterSeason(?Place $home): void
    {
        $this->seasonHome = $home;
    }

    public function showAs(?string $photo): void
    {
        $this->photo = $photo;
    }

    /** The paper that it was cut from. */
    public function traceTo(?self $paper): void
    {
        $this->parent = $paper;
    }

    public function record(): ItemRecord
    {
        return new ItemRecord(
            $this->name,
            $this->kind,
            $this->maker,
            $this->themes,
            $this->colour,
            $this->colourName,
            $this->isMulticolour,
            $this->sentiments,
            $this->note,
            $this->hazards,
            $this->collection,
            $this->season,
            $this->width,
            $this->height,
            $this->depth,
            $this->grams,
            $this->details,
            $this->sheet->sheet(),
            null === $this->cutSizes ? null : CutSizes::ofTicks($this->cutSizes),
        );
    }

    public function describe(ItemRecord $record): void
    {
        $this->name = $record->name;
        $this->kind = $record->kind;
        $this->maker = $record->maker;
        $this->themes = $record->themes;
        $this->colour = $record->colour;
        $this->colourName = $record->colourName;
        $this->isMulticolour = $record->isMulticolour;
        $this->sentiments = $record->sentiments;
        $this->note = $record->note;
        $this->hazards = $record->hazards;
        $this->collection = $record->collection;
        $this->season = $record->season;
        $this->width = $record->width;
        $this->height = $record->height;
        $this->depth = $record->depth;
        $this->grams = $record->grams;
        $this->details = $record->details;
        $this->sheet->put($record->sheet);
        $this->cutSizes = true === $record->cutSizes?->isNone() ? null : $record->cutSizes?->ticks();
    }

    /** It was cut from a paper, or from a scrap of one, and is of the same stuff. */
    public function isCutFrom(self $paper, Sheet $sheet): void
    {
        [$this->maker, $this->collection, $this->themes, $this->season] = [$paper->maker, $paper->collection, $paper->themes, $paper->season];
        [$this->colour, $this->colourName, $this->isMulticolour] = [$paper->colour, $paper->colourName, $paper->isMulticolour];
        $this->sheet->put($sheet);
        $this->parent = $paper->wholePaper();
    }

    /** The paper itself, or of a scrap the one that it was cut from; null where nobody knows. */
    public function wholePaper(): ?self
    {
        return Kind::Scrap === $this->kind ? $this->parent : $this;
    }

    public function change(BulkChange $change): void
    {
        $this->maker = $change->maker ?? $this->maker;
        $this->collection = $change->collection ?? $this->collection;
        $this->season = $change->season->value ?? $this->season;
        $this->kind = $change->kind ?? $this->kind;
        $this->themes = null === $change->theme ? $this->themes : array_values(array_unique([...$this->themes, $change->theme]));
    }

    /**
     * Returns a movement of it, to be written into the log.
     *
     * @throws RefusedMovement if the laws of the log refuse it
     */
    public function moves(int $quantity, Place $from, Place $to, Reason $reason): Movement
    {
        return Movement::of(
            $this->id ?? throw new \LogicException('Only what is stored moves.'),
            $this->tracking,
            $quantity,
            $from->forLog(),
            $to->forLog(),
            $reason,
        );
    }

    /** Whether pieces can be cut from it: it is a paper, and somebody has said how large it is. */
    public function canBeCut(): bool
    {
        return $this->kind->isCut() && null !== $this->sheet->sheet()->size;
    }

    /** @throws StepRefused if no pieces can be cut from it */
    public function checkCanBeCut(): self
    {
        return $this->canBeCut() ? $this : throw $this->kind->isCut() ? StepRefused::hasNoSize($this->name) : StepRefused::isNoPaper($this->name);
    }

    /** Whether it stays what it is while it is worked with: one stamp set or tool, not a stock of them. */
    public function lasts(): bool
    {
        return $this->kind->lasts() && $this->tracking->isSingle();
    }

    /** @return list<Hazard> */
    public function careFor(): array
    {
        return array_values(array_filter(array_map(Hazard::tryFrom(...), $this->hazards)));
    }
}
