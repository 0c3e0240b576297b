<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\Kit;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Lottel\Core\Workshop\Headcount;

/** A class for which a kit is: who comes, what they get, what they bring. */
#[ORM\Entity]
#[ORM\Table(name: 'workshop')]
#[ORM\UniqueConstraint(name: 'workshop_kit', columns: ['kit_id'])]
class Workshop
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public ?int $id = null;

    #[ORM\Column]
    private int $persons = 1;

    #[ORM\Column(options: ['default' => 0])]
    private int $spares = 0;

    /** How many pieces each one makes. */
    #[ORM\Column(options: ['default' => 1])]
    public int $makes = 1;

    /** What those who come bring along, a line each. */
    #[ORM\Column(type: 'text')]
    public string $bring = '';

    /** Those who come, a line each. */
    #[ORM\Column(type: 'text')]
    public string $names = '';

    /** What else is taken along, a line each: samples, the till, a table cloth. */
    #[ORM\Column(type: 'text')]
    public string $also = '';

    /** @var Collection<int, DealtOut> */
    #[ORM\OneToMany(targetEntity: DealtOut::class, mappedBy: 'workshop', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $shares;

    /** @var Collection<int, PackedBag> */
    #[ORM\OneToMany(targetEntity: PackedBag::class, mappedBy: 'workshop', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['number' => 'ASC'])]
    public Collection $bags;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        public readonly Kit $kit,
    ) {
        [$this->shares, $this->bags] = [new ArrayCollection(), new ArrayCollection()];
    }

    public function headcount(): Headcount
    {
        return new Headcount($this->persons, $this->spares);
    }

    /** Whether as many come, and make as many pieces, as is said. */
    public function isFor(WorkshopDescription $said): bool
    {
        return [$this->persons, $this->spares, $this->makes] === [$said->class->persons, $said->class->spares, $said->makes];
    }

    public function say(WorkshopDescription $said): void
    {
        [$this->persons, $this->spares, $this->makes] = [$said->class->persons, $said->class->spares, $said->makes];
        [$this->bring, $this->names, $this->also] = [$said->bring, $said->names, $said->also];
    }

    /** @return array<string, array{int, int}> how much of each line for how many persons, by the key of the line */
    public function dealt(): array
    {
        $dealt = [];
        foreach ($this->shares as $one) {
            $dealt[$one->key()] = [$one->share()->each, $one->share()->among];
        }
        ksort($dealt);

        return $dealt;
    }

    /** Whose bag a number is: a name where one is written down, a spare set after those who come. */
    public function owner(int $bag): string
    {
        $names = self::lines($this->names);

        return $names[$bag - 1] ?? ($bag > $this->persons ? \sprintf('spare %d', $bag - $this->persons) : '');
    }

    /**
     * @return list<string> the lines that are not empty
     */
    public static function lines(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $line): bool => '' !== $line));
    }

    public function isPacked(int $bag): bool
    {
        return null !== $this->bag($bag);
    }

    public function bag(int $number): ?PackedBag
    {
        return $this->bags->filter(static fn (PackedBag $bag): bool => $bag->number === $number)->first() ?: null;
    }

    /** The first bag that is not packed; null where all are. */
    public function nextBag(): ?int
    {
        foreach (range(1, $this->headcount()->sets()) as $number) {
            if (!$this->isPacked($number)) {
                return $number;
            }
        }

        return null;
    }
}
