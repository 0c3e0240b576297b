<?php

declare(strict_types=1);

namespace App\Labels;

use App\Catalogue\Items;
use App\Steps\Outcome;
use App\Steps\StepRefused;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelLayout;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The labels that wait, and the sheets that they are printed on. */
final class LabelQueueController extends Page
{
    private const MOST = 400;
    private const OWN_FIRST_SIDES = ['page_width', 'page_height', 'left', 'top'];
    private const OWN_LAST_SIDES = ['label_width', 'label_height', 'gap_across', 'gap_down'];

    public function __construct(private readonly MakeLabels $make, private readonly LabelSheets $sheets, private readonly LabelQueue $queue)
    {
    }

    #[Route('/stores/labels', name: 'labels', methods: ['GET'])]
    public function index(?string $error = null, ?Problem $problem = null): Response
    {
        return $this->render('labels/index.html.twig', [
            'waiting' => $this->make->waiting(),
            'sheets' => $this->sheets->names(),
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
            $sheet = $this->sheets->named($which, $drawings);
            foreach ($drawings as $index => $drawing) {
                if (!$sheet->holds($drawing->size)) {
                    throw InvalidLabel::doesNotFit($wishes[$index]->subject());
                }
            }

            return new LabelDocument($pdf->set($drawings, $sheet, self::start($request), $this->sheets->isPlain($which)), 'application/pdf', 'labels.pdf');
        } catch (InvalidLabel $problem) {
            return $this->index($problem->getMessage());
        }
    }

    /** Puts the labels of chosen things with those that are to be printed. */
    #[Route('/things/labels', name: 'label_several', methods: ['POST'])]
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
    public function printed(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $printed = $this->queue->printed(self::ids($input->list('wish')));

            return Outcome::undoable($this->generateUrl('labels'), Counted::of($printed, 'label is', 'labels are').' done.');
        }, fn (Problem $problem): Response => $this->index($problem->message));
    }

    #[Route('/stores/labels/sheets', name: 'add_label_sheet', methods: ['POST'])]
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
