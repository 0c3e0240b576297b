<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\Places;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The photo of an open place: taken, shown, taken off. */
final class PlacePhotoController extends Page
{
    private const AGAIN = TakeInController::class.'::door';
    private const DEMO_DRAWER = '/demo/pictures/open-drawer.jpg';

    public function __construct(
        private readonly PlaceReading $reading,
        private readonly Places $places,
        private readonly KeepPhoto $photos,
        private readonly PhotographPlace $photograph,
        private readonly string $projectDir,
    ) {
    }

    #[Route('/stores/places/{address}/photo', name: 'place_photo', methods: ['GET'])]
    public function photo(string $address): Response
    {
        $photo = $this->reading->inUse($address)->photo;
        $path = null === $photo ? '' : $this->photos->path($photo);
        if (!is_file($path)) {
            throw $this->createNotFoundException('There is no photo of it.');
        }

        return new BinaryFileResponse($path, 200, ['Content-Type' => 'image/jpeg']);
    }

    #[Route('/take-in/photo', name: 'photograph_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function take(Request $request): Response
    {
        $new = $old = null;
        $address = '';
        $response = $this->write($request, function (Input $input) use (&$new, &$old, &$address): Outcome {
            $place = $this->places->required($input, 'place');
            $address = $place->address;
            $old = $this->photograph->keep($place, $new);

            return Outcome::final($this->generateUrl('mark_things', ['address' => $address]), 'The photo is kept. Touch each thing on it, and name it.');
        }, fn (Problem $problem): Response => $this->forward(self::AGAIN, ['problem' => $problem]), function (Input $input) use (&$new): void {
            $this->places->required($input, 'place');
            $new = $this->photos->keep($this->picture($input) ?? throw InvalidPhoto::didNotArrive(), KeepPhoto::SIDE_OF_A_PLACE);
        });
        $this->photos->settle($new, $old, $response->isRedirect() ? $this->reading->place($address)?->photo : null);

        return $response;
    }

    #[Route('/stores/places/{address}/photo/off', name: 'take_photo_off', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function off(Request $request, string $address): Response
    {
        return $this->write($request, function () use ($address): Outcome {
            $place = $this->places->inUse($address);
            $this->photograph->keep($place, null);

            return Outcome::undoable($this->generateUrl('place', ['address' => $place->address]), 'The photo is taken off.');
        }, fn (Problem $problem): Response => $this->forward(PlaceController::class.'::page', ['address' => $address, 'problem' => $problem]));
    }

    /** The picture that was sent; in the demo room, where there is no camera, the drawer that comes with it. */
    private function picture(Input $input): ?UploadedFile
    {
        $file = $input->file('photo');

        return null === $file && $this->frame->isDemo() && $input->isTicked('demo_drawer')
            ? new UploadedFile($this->projectDir.self::DEMO_DRAWER, 'drawer.jpg', 'image/jpeg', null, true)
            : $file;
    }
}
