<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Platform\Web\ColumnKind;
use App\Platform\Web\Measures;
use App\Platform\Web\Pdf;
use App\Platform\Web\Table;
use Lottel\Core\Words\Counted;
use Lottel\Core\Workshop\Load;

/** What is taken to a class, and what those who come bring along: as text, and on a page to print. */
final readonly class ClassList
{
    public function __construct(private Measures $measures)
    {
    }

    /** What is carried there: bag by bag and box by box, with how heavy it is. */
    public function packOut(WorkshopPage $page): string
    {
        $sets = $page->class->sets();
        $lines = [
            $page->workshop->kit->name,
            ucfirst($page->class->inWords()).'.',
            '',
            \sprintf('%s, each %s, together %s:', Counted::of($sets, 'bag'), $this->weight($page->bag->grams()), $this->weight($page->bag->grams($sets))),
            ...array_map(fn (WorkshopRow $row): string => self::tick($this->amount($row, $row->thing->share->each ?? 0)), $page->bagged()),
            ...$this->caveat($page->bag),
        ];
        if ([] !== $page->shared()) {
            $lines = [
                ...$lines,
                '',
                \sprintf('Box of what is shared, %s:', $this->weight($page->box->grams())),
                ...array_map(fn (WorkshopRow $row): string => self::tick($this->amount($row, $page->wanted($row))), $page->shared()),
                ...$this->caveat($page->box),
            ];
        }
        $also = Workshop::lines($page->workshop->also);
        if ([] !== $also) {
            $lines = [...$lines, '', 'Also:', ...array_map(self::tick(...), $also)];
        }

        return implode("\n", [...$lines, '', \sprintf('All bags and the box: %s.', $this->weight($page->grams()))])."\n";
    }

    /** The same as a table, in the words of the room. */
    public function packOutTable(WorkshopPage $page): Table
    {
        $words = fn (WorkshopRow $row, int $quantity): string => $this->measures->quantities()->print($quantity, $row->tracking);
        $rows = [
            ...array_map(static fn (WorkshopRow $row): array => [
                'bag', $row->name, $words($row, $row->thing->share->each ?? 0), $words($row, $page->wanted($row)),
            ], $page->bagged()),
            ...array_map(static fn (WorkshopRow $row): array => ['box', $row->name, '', $words($row, $page->wanted($row))], $page->shared()),
            ...array_map(static fn (string $line): array => ['also', $line, '', ''], Workshop::lines($page->workshop->also)),
        ];

        return new Table('pack-out', array_fill_keys(['in', 'what', 'each bag', 'together'], ColumnKind::AsItIs), $rows);
    }

    /** What those who come should know. */
    public function participants(WorkshopPage $page): string
    {
        $kit = $page->workshop->kit;
        $bring = Workshop::lines($page->workshop->bring);
        $lines = [
            $kit->name.(null === $kit->dueOn ? '' : ', '.$kit->dueOn->format('l j F Y')),
            '',
            [] === $bring ? 'Nothing is to be brought along.' : 'Please bring:',
            ...array_map(self::tick(...), $bring),
        ];
        if ([] !== $page->bagged()) {
            $each = array_map(fn (WorkshopRow $row): string => '  - '.$this->amount($row, $row->thing->share->each ?? 0), $page->bagged());
            $lines = [...$lines, '', 'There will be, for each one:', ...$each];
        }
        if ([] !== $page->shared()) {
            $lines = [...$lines, '', 'To share:', ...array_map(static fn (WorkshopRow $row): string => '  - '.$row->name, $page->shared())];
        }

        return implode("\n", $lines)."\n";
    }

    /** Sets such a text on a page of the room's usual size. */
    public function pdf(string $text): string
    {
        $lines = explode("\n", rtrim($text));

        return Pdf::ofText($lines[0], \array_slice($lines, 1), $this->measures->page());
    }

    private static function tick(string $line): string
    {
        return '  [ ] '.$line;
    }

    private function amount(WorkshopRow $row, int $quantity): string
    {
        $isOne = $row->tracking->movesWhole();
        $many = $isOne ? (string) $quantity : $this->measures->quantities()->print($quantity, $row->tracking);

        return $many.($row->tracking->isPieces() || $isOne ? ' × ' : ' of ').$row->name;
    }

    /** @return list<string> */
    private function caveat(Load $load): array
    {
        return '' === $load->caveat() ? [] : ['  (The weight is '.$load->caveat().'.)'];
    }

    private function weight(int $grams): string
    {
        return $this->measures->weights()->print($grams);
    }
}
