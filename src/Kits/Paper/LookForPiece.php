<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Room\Stores\Rooms;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\NearMiss;
use Lottel\Core\Cutting\PieceInScrap;
use Lottel\Core\Cutting\Scrap;
use Lottel\Core\Cutting\ScrapMatch;
use Lottel\Core\Cutting\ScrapSearch;
use Lottel\Core\Cutting\WantedPiece;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\Size;

/** Looks for a piece among the scraps and sheets that no kit wants. */
final readonly class LookForPiece
{
    private const MOST_ANSWERS = 4;
    private const MOST_NEAR = 6;

    public function __construct(private PaperReading $papers, private Rooms $rooms)
    {
    }

    public function __invoke(PieceQuestion $question): ?PieceAnswers
    {
        if (null === $question->piece || !$question->isAsked()) {
            return null;
        }
        $rows = [];
        foreach ($this->papers->candidates($question) as $row) {
            if ($row->free() > 0) {
                $rows[$row->id] = $row;
            }
        }
        $wanted = self::wanted($question->piece, $question);
        $search = new ScrapSearch($question->colour?->lab(), Difference::PASSES, $question->weight?->gsm());
        $found = $search->among($wanted, array_values(array_filter(array_map(static fn (PaperRow $row): ?Scrap => $row->scrap(), $rows))));
        [$scraps, $sheets] = self::ranked($found->matches, $rows);
        $near = $found->near;
        usort(
            $near,
            static fn (NearMiss $a, NearMiss $b): int => $a->distance(Length::TICKS_PER_INCH) <=> $b->distance(Length::TICKS_PER_INCH)
                ?: (int) $a->scrap->id <=> (int) $b->scrap->id,
        );

        return new PieceAnswers(
            self::answers($scraps, $sheets, $rows, $wanted, $this->rooms->all()[0]->trimmer->keep()),
            array_map(static fn (NearMiss $miss): PieceMiss => new PieceMiss($rows[(int) $miss->scrap->id], $miss), \array_slice($near, 0, self::MOST_NEAR)),
            $this->papers->unmeasured($question->colour),
            \count($scraps),
            \count($sheets),
        );
    }

    /**
     * What is ready and exactly as large comes first, then scraps, then what else is ready-cut, which has a purpose of its own.
     *
     * @param list<ScrapMatch> $matches
     * @param array<int, PaperRow> $rows
     *
     * @return array{list<ScrapMatch>, list<ScrapMatch>} what wants no new sheet, and sheets
     */
    private static function ranked(array $matches, array $rows): array
    {
        $ranks = [[], [], [], []];
        foreach ($matches as $match) {
            $row = $rows[(int) $match->scrap->id];
            $ranks[match (true) {
                $row->isReadyCut() => 0 === $match->doubledLeftOver ? 0 : 2,
                $row->isScrap() => 1,
                default => 3,
            }][] = $match;
        }

        return [[...$ranks[0], ...$ranks[1], ...$ranks[2]], $ranks[3]];
    }

    /**
     * A few scraps, and always a sheet where one will do, so that both can be weighed against each other.
     *
     * @param list<ScrapMatch> $scraps
     * @param list<ScrapMatch> $sheets
     * @param array<int, PaperRow> $rows
     *
     * @return list<PieceAnswer>
     */
    private static function answers(array $scraps, array $sheets, array $rows, WantedPiece $wanted, Keep $keep): array
    {
        $shown = \array_slice($scraps, 0, self::MOST_ANSWERS - ([] === $sheets ? 0 : 1));
        $chosen = [...$shown, ...\array_slice($sheets, 0, self::MOST_ANSWERS - \count($shown))];

        return array_map(
            static fn (int $nth, ScrapMatch $match): PieceAnswer => new PieceAnswer(
                $nth + 1,
                $rows[(int) $match->scrap->id],
                $match,
                PieceInScrap::of($match->scrap, $wanted, $match->isTurned, $keep),
            ),
            array_keys($chosen),
            $chosen,
        );
    }

    private static function wanted(Size $piece, PieceQuestion $question): WantedPiece
    {
        return new WantedPiece($piece->width->ticks, $piece->height->ticks, $question->direction);
    }
}
