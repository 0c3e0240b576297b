<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelLayout;
use Lottel\Core\Label\LabelPacking;
use Lottel\Core\Label\LabelSize;
use Lottel\Core\Label\PlacedLabel;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The labels that wait, and the sheets that they are printed on. */
final class LabelQueueController extends Page
{
    private const MOST = 400;
    private const OWN_FIRST_SIDES = ['page_width', 'page_height', 'left', 'top'];
    private const OWN_LAST_SIDES = ['label_width', 'label_height', 'gap_across', 'gap_down'];

    public function __construct(private readonly MakeLabels $make, private readonly LabelSheets $sheets, private readonly LabelQueue $queue)
    {
    }

    /** @param list<int>|null $chosen the wishes that stay ticked, null for all */
    #[Route('/stores/labels', name: 'labels', methods: ['GET'])]
    public function index(?string $error = null, ?Problem $problem = null, string $sheet = '', ?array $chosen = null): Response
    {
        $names = $this->sheets->names();

        return $this->render('room/labels/index.html.twig', [
            'waiting' => $this->make->waiting(),
            'chosen' => $chosen,
            'sheet' => isset($names[$sheet]) ? $sheet : LabelSheets::usual($this->measures->isMetric()),
            'sheets' => $names,
            'error' => $error,
            'problem' => $problem,
        ], new Response(status: null === $error ? 200 : 422));
    }

    #[Route('/stores/labels.pdf', name: 'label_sheet', methods: ['GET'])]
    public function sheet(Request $request, LabelPdf $pdf, LabelLayout $layout): Response
    {
        $wishes = $this->make->chosen(self::ids($request->query->all()['wish'] ?? []));
        if ([] === $wishes) {
            return $this->index('Choose at least one label.');
        }
        $which = $request->query->getString('sheet');
        $hasCode = $request->query->has('code');
        try {
            $drawings = array_map(fn (WishRow $wish): LabelDrawing => $layout->draw($wish->format, $this->make->ofWish($wish, $hasCode)), $wishes);
            $plain = $this->sheets->plain($which);
            $sheet = $plain ?? $this->sheets->sheet($which);
            $tooLarge = array_filter($drawings, static fn (LabelDrawing $drawing): bool => !$sheet->holds($drawing->size));
            if ([] !== $tooLarge) {
                return $this->printTheOthers($wishes, array_keys($tooLarge), $which);
            }
            $labels = $sheet instanceof LabelPacking ? self::packed($sheet, $drawings) : $sheet->place($drawings, self::start($request));

            return new LabelDocument($pdf->set($labels, $sheet->pageWidth, $sheet->pageHeight, null !== $plain), 'application/pdf', 'labels.pdf');
        } catch (InvalidLabel $problem) {
            return $this->index($problem->getMessage(), null, $which);
        }
    }

    /**
     * @param list<LabelDrawing> $drawings
     *
     * @return list<PlacedLabel>
     */
    private static function packed(LabelPacking $paper, array $drawings): array
    {
        return array_map(
            static fn (LabelDrawing $drawing, array $spot): PlacedLabel => new PlacedLabel($drawing, ...$spot),
            $drawings,
            $paper->spots(array_map(static fn (LabelDrawing $drawing): LabelSize => $drawing->size, $drawings)),
        );
    }

    /**
     * Says which labels are larger than the fields of a sheet, and offers to print the others on it.
     *
     * @param list<WishRow> $wishes
     * @param list<int> $tooLarge
     */
    private function printTheOthers(array $wishes, array $tooLarge, string $which): Response
    {
        $names = array_map(static fn (int $index): string => $wishes[$index]->subject(), $tooLarge);
        $others = \count($wishes) - \count($names);
        $message = Counted::sentence($names, 'larger than a label of this sheet.').' '.(0 === $others
            ? 'Choose another sheet, or plain paper.'
            : \sprintf('Only the %s still chosen; plain paper takes all.', 1 === $others ? 'other one is' : 'other '.$others.' are'));
        $fitting = array_values(array_map(static fn (WishRow $wish): int => $wish->id, array_diff_key($wishes, array_flip($tooLarge))));

        return $this->index($message, null, $which, $fitting);
    }

    /** Puts the labels of chosen things with those that are to be printed. */
    #[Route('/things/labels', name: 'label_several', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function several(Request $request, Items $items): Response
    {
        return $this->write($request, function (Input $input) use ($items): Outcome {
            $chosen = $items->several($input->list('items'), self::MOST);
            if ([] === $chosen) {
                throw StepRefused::nothingChosen();
            }
            foreach ($chosen as $item) {
                $this->queue->wishForItem($item, 'asked for', LabelFormat::forThing($item->kind));
            }

            return Outcome::undoable($this->generateUrl('labels'), Counted::of(\count($chosen), 'label waits', 'labels wait').' to be printed.');
        }, fn (Problem $problem): Response => $this->showAgain($request, $problem));
    }

    #[Route('/stores/labels/printed', name: 'labels_printed', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function printed(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $printed = $this->queue->printed(self::ids($input->list('wish')));

            return Outcome::undoable($this->generateUrl('labels'), Counted::of($printed, 'label is', 'labels are').' done.');
        }, fn (Problem $problem): Response => $this->index($problem->message));
    }

    #[Route('/stores/labels/sheets', name: 'add_label_sheet', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function addSheet(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('sheet_name', 60, true);
            $tenths = static fn (string $field): int => intdiv($input->length($field)->ticks ?? 0, 32);
            $measures = [
                ...array_map($tenths, self::OWN_FIRST_SIDES),
                $input->whole('sheet_columns', 1, 50),
                $input->whole('sheet_rows', 1, 100),
                ...array_map($tenths, self::OWN_LAST_SIDES),
            ];
            $input->check();
            $this->sheets->add($name, $measures);

            return Outcome::undoable($this->generateUrl('labels'), \sprintf('%s is on the list of sheets.', $name));
        }, fn (Problem $problem): Response => $this->index(null, $problem));
    }

    /** @return list<int> */
    private static function ids(mixed $ids): array
    {
        return \is_array($ids) ? array_values(array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, $ids)) : [];
    }

    /** The field of the first page to begin with; 0, which is refused, where it cannot be read. */
    private static function start(Request $request): int
    {
        $typed = $request->query->getString('start', '1');

        return 1 === preg_match('/^\d{1,4}$/D', $typed) ? (int) $typed : 0;
    }
}
