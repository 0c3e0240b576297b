<?php

declare(strict_types=1);

namespace App\Platform\Console;

use Lottel\Core\Cutting\CutPlan;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use Symfony\Component\Console\Attribute\AsCommand;

#[AsCommand('lottel:cut-plan', 'Plans how to cut pieces from scraps and sheets.')]
final class CutPlanCommand extends DocumentCommand
{
    private const MOST_PIECES = 30000;
    private const MOST_ENTRIES = 1000;

    /** @param float $seconds about how long the search may take */
    public function __construct(private readonly float $seconds = 1.0)
    {
        parent::__construct();
    }

    public function answer(Document $document): array
    {
        $started = hrtime(true);
        $document->get('unit')->word(['in', 'mm']);
        $longest = $document->get('longest_cut')->isNull() ? null : $document->get('longest_cut')->lengthFromZero();
        $strip = $document->get('smallest_strip')->lengthFromZero();
        $keep = $document->get('keep')->object();
        $keepSides = [$keep->get('short')->lengthFromZero(), $keep->get('long')->lengthFromZero()];
        $pieceEntries = $this->entries($document->get('pieces'));
        $stockEntries = $this->entries($document->get('stock'));
        $sizes = [...array_map($this->size(...), $pieceEntries), ...array_map($this->size(...), $stockEntries)];
        $scale = OutputScale::for([...array_merge(...$sizes), ...(null === $longest ? [] : [$longest]), $strip, ...$keepSides]);
        $pieces = array_map(fn (Document $entry): Piece => $this->piece($entry, $scale), $pieceEntries);
        $stocks = array_map(fn (Document $entry): Stock => $this->stock($entry, $scale), $stockEntries);
        if (array_sum(array_map(static fn (Piece $piece): int => $piece->quantity, $pieces)) > self::MOST_PIECES) {
            $document->get('pieces')->refuse(\sprintf('A job has %d pieces at the most.', self::MOST_PIECES));
        }
        $trimmer = new Trimmer(null === $longest ? null : $scale->whole($longest), $scale->whole($strip));
        [$plan, $bound] = (new CutPlanner($trimmer, $this->seconds))->plan($pieces, $stocks);
        $isComplete = 0 === $plan->score->unplaced;

        return [
            'status' => $isComplete ? 'complete' : 'short',
            'used' => $this->used($plan, $scale, array_map($scale->whole(...), $keepSides)),
            'unplaced' => array_map(
                static fn (int $index, int $count): array => ['piece' => $pieces[$index]->id, 'qty' => $count],
                array_keys($plan->unplaced),
                $plan->unplaced,
            ),
            'sheets' => $plan->score->sheets,
            'scraps' => \count($plan->used) - $plan->score->sheets,
            'sheets_bound' => $bound,
            'optimal' => $isComplete && $bound === $plan->score->sheets,
            'seconds' => round((hrtime(true) - $started) / 1e9, 4),
        ];
    }

    /** @return list<Document> */
    private function entries(Document $list): array
    {
        $entries = $list->items();
        if (\count($entries) > self::MOST_ENTRIES) {
            $list->refuse(\sprintf('%d entries at the most.', self::MOST_ENTRIES));
        }
        $seen = [];
        foreach ($entries as $entry) {
            $id = $entry->object()->get('id')->string();
            if (isset($seen['='.$id])) {
                $entry->get('id')->refuse('This id is used already.');
            }
            $seen['='.$id] = true;
        }

        return $entries;
    }

    /** @return array{Ratio, Ratio} */
    private function size(Document $entry): array
    {
        return [$entry->get('w')->positiveLength(), $entry->get('h')->positiveLength()];
    }

    private function piece(Document $entry, OutputScale $scale): Piece
    {
        return new Piece(
            $entry->get('id')->string(),
            $scale->positive($entry->get('w')),
            $scale->positive($entry->get('h')),
            $entry->get('qty')->whole(1, 10000),
            $entry->get('turn')->bool(),
            $entry->get('paper')->string(),
        );
    }

    private function stock(Document $entry, OutputScale $scale): Stock
    {
        [$width, $height] = $this->size($entry);
        $kind = $entry->get('kind')->word(['sheet', 'scrap', 'panel']);

        return new Stock(
            $entry->get('id')->string(),
            $scale->positive($entry->get('w')),
            $scale->positive($entry->get('h')),
            $entry->get('qty')->whole(1, 10000),
            $entry->get('paper')->string(),
            'sheet' === $kind,
        );
    }

    /**
     * @param list<int> $keep
     *
     * @return list<array<string, mixed>>
     */
    private function used(CutPlan $plan, OutputScale $scale, array $keep): array
    {
        $copies = [];
        $used = [];
        foreach ($plan->used as $cut) {
            $copies[$cut->stock] = ($copies[$cut->stock] ?? 0) + 1;
            $cuts = [];
            $this->name($cut->root, '1', $cuts, $scale);
            $placed = $offcuts = [];
            foreach ($cut->root->leaves() as $leaf) {
                $box = ['x' => $scale->unit($leaf->x), 'y' => $scale->unit($leaf->y), 'w' => $scale->unit($leaf->width), 'h' => $scale->unit($leaf->height)];
                if (null === $leaf->piece) {
                    $offcuts[] = $box + ['keep' => min($leaf->width, $leaf->height) >= $keep[0] && max($leaf->width, $leaf->height) >= $keep[1]];
                } else {
                    $placed[] = ['piece' => $plan->pieces[$leaf->piece]->id] + $box + ['turned' => $leaf->isTurned];
                }
            }
            $used[] = ['stock' => $plan->stocks[$cut->stock]->id, 'copy' => $copies[$cut->stock], 'placed' => $placed, 'cuts' => $cuts, 'offcuts' => $offcuts];
        }

        return $used;
    }

    /** @param list<array<string, mixed>> $cuts */
    private function name(SheetPart $part, string $name, array &$cuts, OutputScale $scale): void
    {
        if (null === $part->first || null === $part->second) {
            return;
        }
        $cuts[] = [
            'step' => \count($cuts) + 1,
            'part' => $name,
            'axis' => $part->isCutAlongX ? 'x' : 'y',
            'at' => $scale->unit($part->isCutAlongX ? $part->first->width : $part->first->height),
            'makes' => [$name.'.1', $name.'.2'],
        ];
        $this->name($part->first, $name.'.1', $cuts, $scale);
        $this->name($part->second, $name.'.2', $cuts, $scale);
    }
}
