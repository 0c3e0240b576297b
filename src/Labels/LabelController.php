<?php

declare(strict_types=1);

namespace App\Labels;

use App\Steps\Outcome;
use App\Steps\Unknown;
use App\Stores\RoomReading;
use App\Stores\StoreReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelLayout;
use Lottel\Core\Label\LabelSize;
use Lottel\Core\Label\LabelText;
use Lottel\Core\Label\Tape;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\Routing\Attribute\Route;

/** Labels: those that wait, single ones, sheets of them, tape, and the legend of a unit. */
final class LabelController extends Page
{
    private const MOST = 500;

    public function __construct(private readonly MakeLabels $make, private readonly LabelLayout $layout, private readonly LabelSvg $svg, private readonly StoreReading $stores, private readonly LabelSheets $sheets, private readonly LabelQueue $queue)
    {
    }

    #[Route('/stores/labels', name: 'labels', methods: ['GET'])]
    public function index(): Response
    {
        return $this->showQueue(null);
    }

    #[Route('/stores/labels.pdf', name: 'label_sheet', methods: ['GET'])]
    public function sheet(Request $request, LabelPdf $pdf): Response
    {
        $wishes = $this->chosen($request->query->all()['wish'] ?? []);
        if ([] === $wishes) {
            return $this->showQueue('Choose at least one label.');
        }
        try {
            $hasCode = $request->query->has('code');
            $drawings = array_map(fn (array $wish): LabelDrawing => $this->layout->draw(LabelFormat::from((string) $wish['format']), $this->make->ofWish($wish, $hasCode)), $wishes);
            $sheet = $this->sheets->named($request->query->getString('sheet'), $drawings);
            $start = preg_match('/^\d{1,4}$/D', $request->query->getString('start', '1')) ? $request->query->getInt('start', 1) : 0;
            foreach ($drawings as $index => $drawing) {
                if (!$sheet->holds($drawing->size)) {
                    throw InvalidLabel::doesNotFit((string) ($wishes[$index]['address'] ?? $wishes[$index]['item_name']));
                }
            }

            return $this->document($pdf->set($drawings, $sheet, $start, $this->sheets->isPlain($request->query->getString('sheet'))), 'application/pdf', 'labels.pdf');
        } catch (InvalidLabel $problem) {
            return $this->showQueue($problem->getMessage());
        }
    }

    #[Route('/stores/labels/printed', name: 'labels_printed', methods: ['POST'])]
    public function printed(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $wishes = array_map(intval(...), $input->list('wish'));
            $printed = $this->queue->printed($wishes);

            return Outcome::undoable($this->generateUrl('labels'), Counted::of($printed, 'label is', 'labels are').' done.');
        }, fn (Problem $problem): Response => $this->showQueue($problem->message));
    }

    #[Route('/stores/labels/sheets', name: 'add_label_sheet', methods: ['POST'])]
    public function addSheet(Request $request): Response
    {
        return $this->write($request, function (Input $input): Outcome {
            $name = $input->text('sheet_name', 60, true);
            $tenths = static fn (string $field): int => intdiv($input->length($field)->ticks ?? 0, 32);
            $measures = [$tenths('page_width'), $tenths('page_height'), $tenths('left'), $tenths('top'), $input->whole('sheet_columns', 1, 50), $input->whole('sheet_rows', 1, 100), $tenths('label_width'), $tenths('label_height'), $tenths('gap_across'), $tenths('gap_down')];
            $input->check();
            $this->sheets->add($name, $measures);

            return Outcome::undoable($this->generateUrl('labels'), \sprintf('%s is on the list of sheets.', $name));
        }, fn (Problem $problem): Response => $this->showQueue(null, $problem));
    }

    #[Route('/stores/places/{address}/label', name: 'label_of_place', methods: ['GET'])]
    public function ofPlace(Request $request, string $address): Response
    {
        $place = $this->stores->place($this->frame->address($address));
        if (null === $place || null === $place['unit_id'] || null !== $place['retired_at']) {
            throw Unknown::place($address);
        }

        return $this->showOne($request, 'place', (int) $place['id'], (string) $place['address'], LabelFormat::forPlace((string) $place['kind']), fn (LabelFormat $format, bool $hasCode): LabelText => $this->make->ofPlace($place, $format, $hasCode));
    }

    #[Route('/items/{id<[0-9]{1,12}>}/label', name: 'label_of_item', methods: ['GET'])]
    public function ofItem(Request $request, int $id): Response
    {
        $item = $this->stores->item($id) ?? throw Unknown::item($id);

        return $this->showOne($request, 'item', $id, (string) $item['name'], LabelFormat::forThing(Kind::from((string) $item['kind'])), fn (LabelFormat $chosen, bool $hasCode): LabelText => $this->make->ofItem($item, $chosen, $hasCode));
    }

    #[Route('/stores/labels/{subject<place|item>}/{id<[0-9]{1,12}>}.{type<svg|png|pdf>}', name: 'label_file', methods: ['GET'])]
    public function labelFile(Request $request, string $subject, int $id, string $type, LabelPng $png, LabelPdf $pdf): Response
    {
        try {
            [$format, $size, $hasCode] = $this->asked($request, LabelFormat::Front);
        } catch (InvalidLabel $problem) {
            throw new BadRequestHttpException($problem->getMessage(), $problem);
        }
        $drawing = $this->layout->draw($format, $this->textOf($subject, $id, $format, $hasCode), $size);

        return match ($type) {
            'svg' => $this->document($this->svg->write($drawing), 'image/svg+xml', 'label.svg', $request->query->has('download')),
            'png' => $this->document($png->paint($drawing), 'image/png', 'label.png', $request->query->has('download')),
            default => $this->document($pdf->set([$drawing], $this->sheets->single($drawing->size), 1, false), 'application/pdf', 'label.pdf', $request->query->has('download')),
        };
    }

    #[Route('/stores/labels/{subject<place|item>}/{id<[0-9]{1,12}>}/wish', name: 'wish_label', methods: ['POST'])]
    public function wish(Request $request, string $subject, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($subject, $id): Outcome {
            $format = $input->choice('format', LabelFormat::class);
            $input->check();
            if ('place' === $subject) {
                $this->queue->wishForPlace($this->placeNumber($id), 'asked for', $format);
            } else {
                $this->queue->wishForItem($this->item($id), 'asked for', $format);
            }

            return Outcome::undoable($this->generateUrl('labels'), 'It waits with the others.');
        }, fn (Problem $problem): Response => $this->showQueue($problem->message));
    }

    #[Route('/stores/tape', name: 'tape', methods: ['GET'])]
    public function tape(TapePrinter $printer): Response
    {
        return $this->showTape($printer, null);
    }

    #[Route('/stores/tape', name: 'print_tape', methods: ['POST'])]
    public function printTape(Request $request, TapePrinter $printer): Response
    {
        return $this->write($request, function (Input $input) use ($printer): Outcome {
            $tape = Tape::tryFrom($input->whole('tape', 1, 99)) ?? throw InvalidLabel::tape();
            $wishes = $this->chosen($input->list('wish'));
            $input->check();
            $printed = [];
            $trouble = null;
            foreach ($wishes as $wish) {
                $text = $this->make->ofWish($wish, true);
                try {
                    $printer->print($this->layout->tape($text, $tape->height()), $text->head);
                } catch (TapeTrouble $trouble) {
                    break;
                }
                $printed[] = (int) $wish['wish'];
            }
            if ([] === $printed && null !== $trouble) {
                throw $trouble;
            }
            // What has come out of the printer is printed, whatever stopped it afterwards.
            $this->queue->printed($printed);
            $said = [] === $printed ? 'Nothing was chosen.' : \sprintf('%d on tape, cut and ready.', \count($printed));

            return Outcome::final($this->generateUrl('tape'), null === $trouble ? $said : $said.' Then it stopped. '.$trouble->getMessage());
        }, fn (Problem $problem): Response => $this->showTape($printer, $problem));
    }

    #[Route('/stores/tape/set', name: 'set_tape', methods: ['POST'])]
    public function setTape(Request $request, SimulatedTapePrinter $printer): Response
    {
        return $this->write($request, function (Input $input) use ($printer): Outcome {
            $do = $input->text('do', 10);
            if ('forget' === $do) {
                $printer->empty();
            } elseif ('jam' === $do || 'clear' === $do) {
                $printer->jam('jam' === $do);
            } else {
                $tape = Tape::tryFrom($input->whole('tape', 1, 99)) ?? throw InvalidLabel::tape();
                $printer->load($tape, 'short' === $do ? 250 : SimulatedTapePrinter::FULL);
            }

            return Outcome::final($this->generateUrl('tape'), match ($do) {
                'jam' => 'It is jammed.',
                'clear' => 'The jam is cleared.',
                'forget' => 'The strips are gone.',
                default => 'A tape is in the printer.',
            });
        }, fn (Problem $problem): Response => $this->showTape($printer, $problem));
    }

    #[Route('/stores/units/{letters}/legend', name: 'legend', methods: ['GET'])]
    public function legend(string $letters, RoomReading $room): Response
    {
        $unit = $room->unit($letters);
        $id = (int) $unit['id'];

        $places = $room->placesByUnit($id)[$id] ?? [];

        return $this->render('labels/legend.html.twig', ['unit' => $unit, 'places' => $places, 'things' => $this->stores->namesByPlace($id)]);
    }

    private function textOf(string $subject, int $id, LabelFormat $format, bool $hasCode): LabelText
    {
        if ('place' === $subject) {
            $place = $this->stores->placeNumber($id);

            return null === $place || null === $place['unit_id'] || null !== $place['retired_at'] ? throw Unknown::place((string) $id) : $this->make->ofPlace($place, $format, $hasCode);
        }

        return $this->make->ofItem($this->stores->item($id) ?? throw Unknown::item($id), $format, $hasCode);
    }

    /** @param callable(LabelFormat, bool): LabelText $text */
    private function showOne(Request $request, string $subject, int $id, string $title, LabelFormat $usual, callable $text): Response
    {
        $error = null;
        try {
            [$format, $size, $hasCode] = $this->asked($request, $usual);
        } catch (InvalidLabel $problem) {
            [$format, $size, $hasCode, $error] = [$usual, null, true, $problem->getMessage()];
        }
        $drawing = $this->layout->draw($format, $text($format, $hasCode), $size);

        return $this->render('labels/one.html.twig', [
            'subject' => $subject, 'id' => $id, 'title' => $title, 'format' => $format, 'formats' => LabelFormat::cases(), 'size' => $drawing->size, 'has_code' => $hasCode, 'error' => $error,
            'drawing' => $this->svg->write($drawing, min(2.0, 1600 / $drawing->size->width)),
            'query' => ['format' => $format->value, 'width' => $drawing->size->width / 10, 'height' => $drawing->size->height / 10] + ($hasCode ? ['code' => 1] : []),
        ], new Response(status: null === $error ? 200 : 422));
    }

    /** @return array{LabelFormat, LabelSize, bool} */
    private function asked(Request $request, LabelFormat $usual): array
    {
        $format = LabelFormat::tryFrom($request->query->getString('format')) ?? $usual;
        $side = static fn (string $key, int $otherwise): int => preg_match('/^\d{1,3}([.,]\d)?$/D', $request->query->getString($key)) ? (int) round(10 * (float) str_replace(',', '.', $request->query->getString($key))) : ('' === $request->query->getString($key, '') ? $otherwise : 0);
        $size = $format->size();
        $isNew = '' !== $request->query->getString('was') && $request->query->getString('was') !== $format->value;

        return [$format, $isNew ? $size : new LabelSize($side('width', $size->width), $side('height', $size->height)), $request->query->has('code') || !$request->query->has('format')];
    }

    /** @return list<array<string, mixed>> */
    private function chosen(mixed $ids): array
    {
        $wanted = array_fill_keys(array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, \is_array($ids) ? $ids : []), true);

        return array_values(array_filter($this->make->waiting(self::MOST), static fn (array $wish): bool => isset($wanted[(int) $wish['wish']])));
    }

    private function showQueue(?string $error, ?Problem $problem = null): Response
    {
        return $this->render('labels/index.html.twig', ['waiting' => $this->make->waiting(self::MOST), 'formats' => array_column(array_map(static fn (LabelFormat $format): array => [$format->value, $format->label()], LabelFormat::cases()), 1, 0), 'sheets' => $this->sheets->names(), 'error' => $error, 'problem' => $problem], new Response(status: null === $error ? 200 : 422));
    }

    private function showTape(TapePrinter $printer, ?Problem $problem): Response
    {
        return $this->render('labels/tape.html.twig', ['status' => $printer->status(), 'tapes' => Tape::cases(), 'waiting' => $this->make->waiting(60), 'is_simulated' => $printer instanceof SimulatedTapePrinter, 'problem' => $problem]);
    }

    private function document(string $content, string $type, string $name, bool $isDownload = false): Response
    {
        return new Response($content, 200, ['Content-Type' => $type, 'Content-Disposition' => ($isDownload ? 'attachment' : 'inline').'; filename="'.$name.'"']);
    }
}
