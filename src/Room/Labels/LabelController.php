<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\Items;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\LabelFormat;
use Lottel\Core\Label\LabelLayout;
use Lottel\Core\Label\LabelText;
use Lottel\Core\Label\PlacedLabel;
use Lottel\Core\Measure\Length;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Single labels of places and items, and the legend of a unit. */
final class LabelController extends Page
{
    private const MOST_PIXELS = 1600;
    private const LARGEST_SCALE = 2.0;

    public function __construct(
        private readonly MakeLabels $make,
        private readonly LabelLayout $layout,
        private readonly LabelSvg $svg,
        private readonly PlaceReading $places,
        private readonly ItemReading $items,
    ) {
    }

    #[Route('/stores/places/{address}/label', name: 'label_of_place', methods: ['GET'])]
    public function ofPlace(Request $request, string $address): Response
    {
        $place = $this->places->inUse($address);
        $text = fn (AskedLabel $asked): LabelText => $this->make->ofPlace(LabelledPlace::ofPlace($place), $asked->format, $asked->hasCode);

        return $this->show($request, 'place', $place->id, $place->address, LabelFormat::forPlace($place->kind), $text);
    }

    #[Route('/items/{id<[0-9]{1,12}>}/label', name: 'label_of_item', methods: ['GET'])]
    public function ofItem(Request $request, int $id): Response
    {
        $item = $this->items->item($id);
        $text = fn (AskedLabel $asked): LabelText => $this->make->ofItem(LabelledItem::ofItem($item), $asked->format, $asked->hasCode);

        return $this->show($request, 'item', $id, $item->record->name, LabelFormat::forThing($item->record->kind), $text);
    }

    /** Of a folder in which a kit waits. */
    #[Route('/stores/folders/{id<[0-9]{1,12}>}/label', name: 'label_of_folder', methods: ['GET'])]
    public function ofFolder(Request $request, int $id): Response
    {
        $text = fn (AskedLabel $asked): LabelText => $this->make->ofFolder($id, $asked->hasCode);

        return $this->show($request, 'folder', $id, $this->make->ofFolder($id, false)->head, LabelFormat::Tab, $text);
    }

    #[Route('/stores/labels/{subject<place|item|folder>}/{id<[0-9]{1,12}>}.{type<svg|png|pdf>}', name: 'label_file', methods: ['GET'])]
    public function labelFile(Request $request, string $subject, int $id, string $type, LabelPng $png, LabelPdf $pdf): Response
    {
        try {
            $asked = AskedLabel::read($request->query, LabelFormat::Front, $this->measures->measure());
        } catch (InvalidLabel $problem) {
            throw new BadRequestHttpException($problem->inWords($this->measures->lengths()), $problem);
        }
        $text = match ($subject) {
            'place' => $this->make->ofPlace(LabelledPlace::ofPlace($this->places->number($id)), $asked->format, $asked->hasCode),
            'folder' => $this->make->ofFolder($id, $asked->hasCode),
            default => $this->make->ofItem(LabelledItem::ofItem($this->items->item($id)), $asked->format, $asked->hasCode),
        };
        $drawing = $this->layout->draw($asked->format, $text, $asked->size);
        $isDownload = $request->query->has('download');

        return match ($type) {
            'svg' => new LabelDocument($this->svg->write($drawing), 'image/svg+xml', 'label.svg', $isDownload),
            'png' => new LabelDocument($png->paint($drawing), 'image/png', 'label.png', $isDownload),
            default => new LabelDocument(
                $pdf->set([new PlacedLabel($drawing, 0, 0, 0)], $drawing->size->width, $drawing->size->height, false),
                'application/pdf',
                'label.pdf',
                $isDownload,
            ),
        };
    }

    #[Route('/stores/labels/{subject<place|item>}/{id<[0-9]{1,12}>}/wish', name: 'wish_label', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function wish(Request $request, string $subject, int $id, LabelQueue $queue, Places $places, Items $items): Response
    {
        return $this->write($request, function (Input $input) use ($subject, $id, $queue, $places, $items): Outcome {
            $format = $input->choice('format', LabelFormat::class);
            $input->check();
            if ('place' === $subject) {
                $queue->wishForPlace($places->number($id), 'asked for', $format);
            } else {
                $queue->wishForItem($items->one($id), 'asked for', $format);
            }

            return Outcome::undoable($this->generateUrl('labels'), 'It waits with the others.');
        }, fn (Problem $problem): Response => $this->forward(LabelQueueController::class.'::index', ['error' => $problem->message]));
    }

    #[Route('/stores/units/{letters}/legend', name: 'legend', methods: ['GET'])]
    public function legend(string $letters, RoomReading $room): Response
    {
        $unit = $room->unit($letters);

        return $this->render('room/labels/legend.html.twig', [
            'unit' => $unit,
            'places' => $room->placesByUnit($unit->id)[$unit->id] ?? [],
            'things' => $this->places->namesByPlace($unit->id),
        ]);
    }

    /** @param callable(AskedLabel): LabelText $text */
    private function show(Request $request, string $subject, int $id, string $title, LabelFormat $usual, callable $text): Response
    {
        $error = null;
        try {
            $asked = AskedLabel::read($request->query, $usual, $this->measures->measure());
        } catch (InvalidLabel $problem) {
            [$asked, $error] = [AskedLabel::usual($usual), $problem->inWords($this->measures->lengths())];
        }
        $drawing = $this->layout->draw($asked->format, $text($asked), $asked->size);
        $size = $drawing->size;

        return $this->render(
            'room/labels/one.html.twig',
            [
                'subject' => $subject,
                'id' => $id,
                'title' => $title,
                'format' => $asked->format,
                'formats' => LabelFormat::cases(),
                'width' => Length::ofTenthMillimetres($size->width),
                'height' => Length::ofTenthMillimetres($size->height),
                'has_code' => $asked->hasCode,
                'error' => $error,
                'drawing' => $this->svg->write($drawing, min(self::LARGEST_SCALE, self::MOST_PIXELS / $size->width)),
                'query' => ['format' => $asked->format->value, 'width' => $size->width / 10 .' mm', 'height' => $size->height / 10 .' mm'] +
                    ($asked->hasCode ? ['code' => 1] : []),
            ],
            new Response(status: null === $error ? 200 : 422),
        );
    }
}
