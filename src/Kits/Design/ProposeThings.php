<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\KitRow;
use App\Kits\Kits\NeedRow;
use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindWords;
use Lottel\Core\Colour\Balance;
use Lottel\Core\Colour\Srgb;

/** Proposes what goes with a design: of its theme or occasion, companions of what is on the list, colours that balance it. */
final readonly class ProposeThings
{
    private const MOST_OF_EACH = 3;

    /** Some of what is found is passed over. */
    private const LOOKED_AT = 4;

    /** Things that bring a colour of their own onto a card or page. */
    private const COLOURED = "WHERE i.kind IN ('ink', 'embellishment', 'ribbon', 'paper') AND i.colour IS NOT NULL";

    private const OF_COLOUR = self::COLOURED.' AND i.parent_id IS NULL AND i.colour IN (:colour) AND i.id NOT IN (:on)';

    /** So many degrees of hue off is still harmony (common practice, no source). */
    private const IN_HARMONY = 15.0;
    private const KINDS = ['stamp set', 'die', 'ink', 'embellishment', 'stencil'];

    public function __construct(private Connection $database, private KitReading $kits)
    {
    }

    /**
     * @param array<string, CutBy> $cutBy what cuts its die-cut layers
     *
     * @return list<Proposed>
     */
    public function for(KitRow $kit, Board $board, array $cutBy): array
    {
        $needs = $this->kits->needs($kit->id);
        // A list without a number in it would exclude everything.
        $onList = [0, ...array_map(static fn (NeedRow $need): int => $need->thing->id, $needs)];
        $themes = $this->themes($kit, $needs);
        $proposed = [];
        foreach ([
            ...self::dies($cutBy, $board, $onList),
            ...$this->companions($onList),
            ...$this->ofTheme($themes, $onList),
            ...$this->balancing($board, $onList),
        ] as $one) {
            $proposed[$one->thing->id] ??= $one;
        }

        return \array_slice(array_values($proposed), 0, 3 * self::MOST_OF_EACH);
    }

    /** @return array<string, list<string>> themes by how an item keeps them */
    private function knownThemes(): array
    {
        $known = [];
        foreach ($this->database->fetchFirstColumn('SELECT DISTINCT themes FROM item WHERE removed_at IS NULL') as $kept) {
            $known[Row::word($kept)] = (new Row(['themes' => $kept]))->texts('themes');
        }

        return $known;
    }

    /**
     * @param list<NeedRow> $needs
     *
     * @return list<string>
     */
    private function themes(KitRow $kit, array $needs): array
    {
        $said = mb_strtolower(implode(' ', [$kit->name, $kit->makes, $kit->occasion, $kit->note]));
        $known = array_unique(array_merge([], ...array_values($this->knownThemes())));
        $themes = array_filter($known, static fn (string $theme): bool => str_contains($said, rtrim(mb_strtolower($theme), 's')));
        foreach ($needs as $need) {
            array_push($themes, ...$need->thing->themes);
        }

        return array_values(array_unique($themes));
    }

    /**
     * @param array<string, CutBy> $cutBy
     * @param list<int> $onList
     *
     * @return list<Proposed> dies that cut what is die-cut
     */
    private static function dies(array $cutBy, Board $board, array $onList): array
    {
        $proposed = [];
        foreach ($cutBy as $part => $by) {
            $name = $board->design->layer((int) substr($part, 1))->name;
            foreach ($by->exact as $die) {
                if (!\in_array($die->thing->id, $onList, true)) {
                    $proposed[] = new Proposed($die->thing, 'cuts the '.$name);
                }
            }
        }

        return $proposed;
    }

    /**
     * @param list<int> $onList
     *
     * @return list<Proposed>
     */
    private function companions(array $onList): array
    {
        return $this->read(
            'WHERE i.id IN (SELECT other_id FROM companion WHERE item_id IN (:on) UNION SELECT item_id FROM companion WHERE other_id IN (:on))
                AND i.id NOT IN (:on)',
            ['on' => $onList],
            static fn (): string => 'goes with what is on the list',
        );
    }

    /**
     * @param list<string> $themes
     * @param list<int> $onList
     *
     * @return list<Proposed>
     */
    private function ofTheme(array $themes, array $onList): array
    {
        $kept = array_filter($this->knownThemes(), static fn (array $own): bool => [] !== array_intersect($own, $themes));

        return [] === $kept ? [] : $this->read(
            'WHERE i.themes IN (:themes) AND i.kind IN (:kinds) AND i.id NOT IN (:on)',
            ['on' => $onList, 'kinds' => self::KINDS, 'themes' => array_map(strval(...), array_keys($kept))],
            static fn (ThingLine $thing): string => 'of its theme: '.implode(', ', array_intersect($thing->themes, $themes)),
        );
    }

    /**
     * @param list<int> $onList
     *
     * @return list<Proposed>
     */
    private function balancing(Board $board, array $onList): array
    {
        $palette = $board->colours->palette();
        if ([] === $palette) {
            return [];
        }
        $colours = [];
        foreach ($this->database->fetchFirstColumn('SELECT DISTINCT i.colour FROM item i '.self::COLOURED) as $hex) {
            $colours[Row::word($hex)] = Srgb::ofHex(Row::word($hex));
        }
        $proposed = [];
        foreach ((new Balance())->rank($palette, $colours) as $one) {
            if ([] !== $one['adds'] && $one['off'] <= self::IN_HARMONY && \count($proposed) < self::MOST_OF_EACH) {
                $why = 'would add '.implode(' and ', $one['adds']);
                array_push($proposed, ...array_map(
                    static fn (ThingLine $thing): Proposed => new Proposed($thing, $why, true),
                    $this->things(self::OF_COLOUR, ['colour' => [$one['key']], 'on' => $onList], 1),
                ));
            }
        }

        return $proposed;
    }

    /**
     * @param array<string, list<int>|list<string>> $values
     * @param callable(ThingLine): string $why
     *
     * @return list<Proposed>
     */
    private function read(string $condition, array $values, callable $why): array
    {
        return array_map(static fn (ThingLine $thing): Proposed => new Proposed($thing, $why($thing)), $this->things($condition, $values, self::MOST_OF_EACH));
    }

    /**
     * @param array<string, list<int>|list<string>> $values
     *
     * @return list<ThingLine> what is in a drawer now
     */
    private function things(string $condition, array $values, int $most): array
    {
        $typeOf = static fn (array $list): ArrayParameterType => \is_int($list[0] ?? 0) ? ArrayParameterType::INTEGER : ArrayParameterType::STRING;
        $types = array_map($typeOf, $values);

        $things = Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.' FROM item i LEFT JOIN place h ON h.id = i.home_id '.$condition."
                AND i.removed_at IS NULL AND EXISTS (SELECT 1 FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' WHERE b.item_id = i.id)
             ORDER BY i.used_at DESC, i.id LIMIT ".self::LOOKED_AT * $most,
            $values,
            $types,
        ), ThingLine::of(...));
        $toUse = array_filter($things, static fn (ThingLine $thing): bool => Kind::Ink !== $thing->kind || !KindWords::isReInker($thing->name));

        return \array_slice(array_values($toUse), 0, $most);
    }
}
