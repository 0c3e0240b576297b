<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\PlaceRow;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Picture\Spot;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is seen in the photo of an open place: touched and named, looked at as cells, and taken in. */
#[IsGranted('ROLE_OWNER')]
final class SeenThingsController extends Page
{
    public function __construct(
        private readonly PlaceReading $reading,
        private readonly Places $places,
        private readonly PlacePhotoReading $seen,
        private readonly KeepPhoto $photos,
        private readonly MarksForm $marks,
        private readonly NewThingsForm $form,
        private readonly NewCells $cells,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/stores/places/{address}/photo/things', name: 'mark_things', methods: ['GET', 'POST'])]
    public function mark(Request $request, string $address): Response
    {
        [$place, $photo] = $this->photographed($address);
        $input = $this->input($request);

        return $this->showMarks($place, $photo, $this->marks->marks($input, $photo, $this->photos->raster($photo->photo)), null);
    }

    /** Shows what the named things would become, before anything is written. */
    #[Route('/stores/places/{address}/photo/look', name: 'look_at_marks', methods: ['POST'])]
    public function look(Request $request, string $address): Response
    {
        [$place, $photo] = $this->photographed($address);
        $input = $this->input($request);
        try {
            $marks = $this->marks->read($input);
            if ([] === $marks) {
                throw CatalogueRefused::nothingTouched();
            }
            $text = implode("\n", array_map(static fn (array $mark): string => (string) preg_replace('/\R/u', ' ', $mark['name']), $marks));
            $seen = $this->seenThings($place, $photo, array_column($marks, 'spot'));
            $cells = $this->cells->read($text, $seen, self::rule($place));
        } catch (InvalidInput|InvalidPaste|StepRefused $wrong) {
            $problem = Problem::from($wrong, $request, $this->measures->quantities()) ?? throw $wrong;
            $response = $this->showMarks($place, $photo, $this->marks->marks($input, $photo, $this->photos->raster($photo->photo)), $problem);
            $response->setStatusCode($problem->status);

            return $response;
        }

        return $this->showCells($place, $seen, $cells, $text, null);
    }

    #[Route('/stores/places/{address}/photo/take-in', name: 'take_in_seen', methods: ['POST'])]
    public function takeIn(Request $request, string $address, TakeInSeen $takeIn): Response
    {
        [$place, $photo] = $this->photographed($address);
        $seen = [];
        $isTaken = false;
        $response = $this->write($request, function (Input $input, Step $step) use ($place, $takeIn, &$seen, &$isTaken): Outcome {
            $things = $this->form->read($input, $seen);
            if ([] === $things) {
                throw CatalogueRefused::everythingLeftOut();
            }
            $takeIn($step, $this->places->inUse($place->address), $things);
            $isTaken = true;

            return Outcome::undoable(
                $this->generateUrl('place', ['address' => $place->address]),
                Counted::sentence(array_map(static fn (NewThing $new): string => $new->moreOf->name ?? $new->thing->name, $things), 'taken from the photo.'),
            );
        }, function (Problem $problem) use ($request, $place, $photo): Response {
            $input = $this->input($request);
            $text = $input->text('text', 40_000);
            $seen = $this->seenThings($place, $photo, $this->spots($input, PastedThing::count($text)));

            return $this->showCells($place, $seen, $this->cells->read($text, $seen, self::rule($place)), $text, $problem);
        }, function (Input $input) use ($photo, &$seen): void {
            $this->form->read($input);
            foreach ($this->form->lines($input) as $line) {
                $spot = $this->marks->spot($input, $line);
                $input->check();
                $seen[$line] = new SeenAt($spot ?? throw InvalidPhoto::isGone(), $this->photos->cutOut($photo->photo, $spot));
            }
        });
        if (!$isTaken || !$response->isRedirect()) {
            array_map($this->photos->throwAway(...), array_map(static fn (SeenAt $one): string => $one->cutOut, $seen));
        }

        return $response;
    }

    /**
     * @return array{PlaceRow, PlacePhoto}
     *
     * @throws NotFoundHttpException if there is no photo of it, or not any more
     */
    private function photographed(string $address): array
    {
        $place = $this->reading->inUse($address);

        return [$place, $this->seen->of($place) ?? throw $this->createNotFoundException(\sprintf('There is no photo of %s. Take one first.', $place->address))];
    }

    /** @param list<Spot|null> $spots */
    private function seenThings(PlaceRow $place, PlacePhoto $photo, array $spots): SeenThings
    {
        return new SeenThings($photo, $spots, $this->photos->raster($photo->photo), $this->reading->inner($place->id));
    }

    /** @return list<Spot|null> by line */
    private function spots(Input $input, int $lines): array
    {
        return array_map(fn (int $line): ?Spot => $this->marks->spot($input, $line), 0 === $lines ? [] : range(0, $lines - 1));
    }

    private static function rule(PlaceRow $place): PlaceRule
    {
        return new PlaceRule([] === $place->alsoKinds ? $place->saysKind : null, $place->saysMaker, $place->saysTheme, $place->season);
    }

    /** @param list<Mark> $marks */
    private function showMarks(PlaceRow $place, PlacePhoto $photo, array $marks, ?Problem $problem): Response
    {
        return $this->render('room/catalogue/mark_things.html.twig', [
            'place' => $place,
            'photo' => $photo,
            'marks' => $marks,
            'names' => $this->seen->namesIn($place),
            'lit' => $this->room->lit([$place->id]),
            'problem' => $problem,
        ]);
    }

    /** @param list<NewCell> $cells */
    private function showCells(PlaceRow $place, SeenThings $seen, array $cells, string $text, ?Problem $problem): Response
    {
        return $this->render('room/catalogue/take_in.html.twig', [
            'cells' => $cells,
            'text' => $text,
            'kinds' => Kind::cases(),
            'trackings' => Tracking::cases(),
            'seen' => $seen,
            'lit' => $this->room->lit([$place->id]),
            'problem' => $problem,
        ]);
    }
}
