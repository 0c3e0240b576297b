<?php

declare(strict_types=1);

namespace App\Paper;

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
    private const TOLERANCE = 5.0;
    private const MOST_ANSWERS = 4;
    private const MOST_NEAR = 6;

    public function __construct(private PaperReading $papers)
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
        $search = new ScrapSearch($question->colour?->lab(), self::TOLERANCE, $question->weight?->gsm());
        $found = $search->among($wanted, array_values(array_filter(array_map(static fn (PaperRow $row): ?Scrap => $row->scrap(), $rows))));
        $isScrap = static fn (ScrapMatch $match): bool => $rows[(int) $match->scrap->id]->isScrap() || $rows[(int) $match->scrap->id]->isReadyCut();
        $scraps = array_values(array_filter($found->matches, $isScrap));
        $sheets = array_values(array_filter($found->matches, static fn (ScrapMatch $match): bool => !$isScrap($match)));
        $near = $found->near;
        usort(
            $near,
            static fn (NearMiss $a, NearMiss $b): int => $a->distance(Length::TICKS_PER_INCH) <=> $b->distance(Length::TICKS_PER_INCH)
                ?: (int) $a->scrap->id <=> (int) $b->scrap->id,
        );

        return new PieceAnswers(
            self::answers($scraps, $sheets, $rows, $wanted),
            array_map(static fn (NearMiss $miss): PieceMiss => new PieceMiss($rows[(int) $miss->scrap->id], $miss), \array_slice($near, 0, self::MOST_NEAR)),
            $this->papers->unmeasured($question->colour),
            \count($scraps),
            \count($sheets),
        );
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
    private static function answers(array $scraps, array $sheets, array $rows, WantedPiece $wanted): array
    {
        $shown = \array_slice($scraps, 0, self::MOST_ANSWERS - ([] === $sheets ? 0 : 1));
        $chosen = [...$shown, ...\array_slice($sheets, 0, self::MOST_ANSWERS - \count($shown))];

        return array_map(
            static fn (int $nth, ScrapMatch $match): PieceAnswer => new PieceAnswer(
                $nth + 1,
                $rows[(int) $match->scrap->id],
                $match,
                PieceInScrap::of($match->scrap, $wanted, $match->isTurned, Keep::usual()),
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
