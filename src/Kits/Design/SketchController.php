<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\InvalidPhoto;
use App\Room\Catalogue\KeepPhoto;
use Lottel\Core\Design\Design;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A photo of a sketch that stays with a kit; its colours can be what the design comes near to. */
final class SketchController extends Page
{
    private const DEMO_SKETCH = '/demo/pictures/sketch.jpg';
    private const TARGETS = 5;

    public function __construct(
        private readonly Kits $kits,
        private readonly KeepPhoto $photos,
        private readonly DesignInput $parts,
        private readonly string $projectDir,
    ) {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/sketch', name: 'sketch', methods: ['GET'])]
    public function sketch(int $id): Response
    {
        $path = $this->photos->path($this->kits->one($id)->sketch ?? 'none');
        if (!is_file($path)) {
            throw $this->createNotFoundException('There is no sketch.');
        }

        return new BinaryFileResponse($path, 200, ['Content-Type' => 'image/jpeg']);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/sketch', name: 'keep_sketch', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function keep(Request $request, int $id): Response
    {
        $new = $old = null;
        $response = $this->write($request, function () use ($id, &$new, &$old): Outcome {
            $kit = $this->kits->one($id);
            $old = $kit->sketch;
            $kit->sketch($new);

            return Outcome::final($this->generateUrl('design', ['id' => $id]), 'The sketch stays with the kit.');
        }, fn (Problem $problem): Response => $this->again($id, $problem), function (Input $input) use ($id, &$new): void {
            $this->kits->one($id);
            $new = $this->photos->keep($this->picture($input) ?? throw InvalidPhoto::didNotArrive());
        });
        $this->photos->settle($new, $old, $response->isRedirect() ? $this->kits->one($id)->sketch : null);

        return $response;
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/sketch/off', name: 'take_sketch_off', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function off(Request $request, int $id): Response
    {
        return $this->write($request, function () use ($id): Outcome {
            $this->kits->one($id)->sketch(null);

            return Outcome::undoable($this->generateUrl('design', ['id' => $id]), 'The sketch is taken off.');
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    /** The colours of the sketch are what the design is to come near to; or nothing is any more. */
    #[Route('/kits/{id<[0-9]{1,12}>}/design/target', name: 'design_target', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function target(Request $request, int $id, ChangeDesign $change): Response
    {
        return $this->write($request, function (Input $input) use ($id, $change): Outcome {
            $seen = $this->parts->seen($input);
            $kit = $this->kits->one($id);
            $target = $input->isTicked('off') ? [] : array_column(\array_slice($this->photos->palette($kit->sketch ?? 'none'), 0, self::TARGETS), 'hex');
            $change($kit, $seen, static fn (Design $design): Design => $design->with(['target' => $target]));

            return Outcome::undoable(
                $this->generateUrl('design', ['id' => $id]),
                [] === $target ? 'No colours are aimed at.' : 'The colours of the sketch are what the design comes near to.',
            );
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    /** The picture that was sent; in the demo room, where there is no camera, the sketch that comes with it. */
    private function picture(Input $input): ?UploadedFile
    {
        $file = $input->file('photo');

        return null === $file && $this->frame->isDemo() && $input->isTicked('demo_sketch')
            ? new UploadedFile($this->projectDir.self::DEMO_SKETCH, 'sketch.jpg', 'image/jpeg', null, true)
            : $file;
    }

    private function again(int $id, Problem $problem): Response
    {
        return $this->forward(DesignController::class.'::page', ['id' => $id, 'problem' => $problem]);
    }
}
