<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\Size;

/** All paper of one colour of one group, with its scraps; a paper without a colour stands by itself. */
final readonly class PaperColumn
{
    /** Nobody has said of what colour it is; it may be patterned, or plain. */
    private const NO_COLOUR = 'colour not said';

    private const MOST_SCRAPS = 6;

    /** @param list<Size> $scrapSizes of the longest scraps that are there, as far as they are known */
    private function __construct(
        public int $id,
        public string $label,
        public ?string $colour,
        public string $group,
        public int $sheets,
        public int $scraps,
        public array $scrapSizes,
    ) {
    }

    public static function of(Row $row, PaperOrder $order): self
    {
        $colour = $row->textOrNull('colour');

        return new self(
            $row->int('id'),
            $row->text('label'),
            $colour,
            PaperOrder::Colour === $order ? (null === $colour ? self::NO_COLOUR : Family::of(Srgb::ofHex($colour))->value) : $row->text('in_group'),
            $row->int('sheets'),
            $row->int('scraps'),
            self::longest($row->pairs('scrap_sizes')),
        );
    }

    /**
     * @param list<array{int, int}> $sides
     *
     * @return list<Size>
     */
    private static function longest(array $sides): array
    {
        usort($sides, static fn (array $a, array $b): int => max($b) <=> max($a));

        return array_map(static fn (array $one): Size => Size::ofTicks(...$one), \array_slice($sides, 0, self::MOST_SCRAPS));
    }

    /** What is asked for where it is touched; nothing for what has no colour. */
    public function asks(): string
    {
        return null === $this->colour ? '' : $this->label;
    }

    public function srgb(): ?Srgb
    {
        return null === $this->colour ? null : Srgb::ofHex($this->colour);
    }
}
