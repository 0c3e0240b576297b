<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Stores\RoomReading;
use App\Room\Stores\Rooms;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Homes\OffcutSchool;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Pieces that are cut ahead of time, and how the household cuts. */
final class AheadController extends Page
{
    private const MOST_MILLIMETRES = 3000;

    public function __construct(
        private readonly AheadReading $ahead,
        private readonly NamedPapers $papers,
        private readonly Items $items,
        private readonly Rooms $rooms,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/paper/ahead', name: 'ahead', methods: ['GET'])]
    public function page(?Problem $problem = null): Response
    {
        $rows = $this->ahead->rows();
        $lines = array_filter(
            array_map(fn (AheadRow $row): string => $row->line($this->measures->lengths()), $rows),
            static fn (string $line): bool => '' !== $line,
        );
        $low = array_filter($rows, static fn (AheadRow $row): bool => $row->lacking > 0);

        return $this->render('kits/cutting/ahead.html.twig', [
            'rows' => $rows,
            'days' => AheadReading::DAYS,
            'lines' => implode("\n", $lines),
            'papers' => $this->papers->choices(),
            'lit' => $this->room->lit(array_map(static fn (AheadRow $row): ?int => $row->homeId, $low)),
            'problem' => $problem,
        ]);
    }

    #[Route('/paper/ahead', name: 'cut_batch', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function batch(Request $request, AskForPieces $ask): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($ask): Outcome {
            $lines = AskedPiece::lines($input->text('pieces', 4000), $this->measures->measure());
            $paper = 0 === $input->id('paper') ? null : $this->items->one($input->id('paper'));
            $input->check();
            $kit = $ask->batch($step, $lines, $paper);

            return Outcome::undoable($this->generateUrl('cut_kit', ['id' => $kit->id]), \sprintf('“%s” is planned; pull its paper next.', $kit->name));
        }, $this->page(...));
    }

    #[Route('/paper/trimmer', name: 'trimmer', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function trimmer(?Problem $problem = null): Response
    {
        return $this->render('kits/cutting/trimmer.html.twig', [
            'trimmer' => $this->rooms->all()[0]->trimmer,
            'schools' => array_combine(
                array_map(static fn (OffcutSchool $school): string => $school->value, OffcutSchool::cases()),
                array_map(static fn (OffcutSchool $school): string => $school->words(), OffcutSchool::cases()),
            ),
            'problem' => $problem,
        ]);
    }

    #[Route('/paper/trimmer', name: 'set_trimmer', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function setTrimmer(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $longest = $input->length('longest_cut', self::MOST_MILLIMETRES);
            $strip = $input->lengthFromZero('smallest_strip', self::MOST_MILLIMETRES);
            $together = $input->whole('sheets_together', 1, 500);
            [$short, $long] = [$input->length('keep_short', self::MOST_MILLIMETRES), $input->length('keep_long', self::MOST_MILLIMETRES)];
            $school = $input->choice('offcuts', OffcutSchool::class);
            $cents = $input->isEmpty('per_cut') ? null : $input->cents('per_cut');
            foreach (['keep_short' => $short, 'keep_long' => $long] as $field => $side) {
                if (null === $side) {
                    $input->refuse($field, 'From which size on is an offcut kept? Write a length.');
                }
            }
            if (null !== $short && null !== $long && $long->ticks < $short->ticks) {
                $input->refuse('keep_long', 'The long side is at least as long as the short one.');
            }
            if (null !== $longest && null !== $strip && $strip->ticks >= $longest->ticks) {
                $input->refuse('smallest_strip', 'That is no strip: it is as wide as the longest cut.');
            }
            $input->check();
            \assert(null !== $short && null !== $long);
            $trimmer = $this->rooms->all()[0]->trimmer;
            $trimmer->cutting(new Trimmer($longest?->ticks, $strip->ticks ?? 0), $together, $cents);
            $trimmer->keeping(new Keep($short->ticks, $long->ticks), $school);

            return Outcome::undoable($this->generateUrl('trimmer'), 'Written down; plans made from now on keep to it.');
        }, $this->trimmer(...));
    }
}
