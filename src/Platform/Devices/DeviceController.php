<?php

declare(strict_types=1);

namespace App\Platform\Devices;

use App\Platform\Lan\Certificates;
use App\Platform\Lan\LanFiles;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Labels\QrCode;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Which devices are let in, a code for the next one, and what it has to trust. */
#[IsGranted('ROLE_OWNER')]
final class DeviceController extends Page
{
    public function __construct(
        private readonly Devices $devices,
        private readonly Certificates $certificates,
        private readonly LanFiles $lan,
        private readonly QrCode $qr,
        private readonly bool $isLan,
    ) {
    }

    #[Route('/upkeep/devices', name: 'devices', methods: ['GET'])]
    public function index(?Problem $problem = null, ?string $code = null): Response
    {
        $trust = $this->lan->said('trust');

        return $this->render('platform/devices/index.html.twig', [
            'devices' => $this->devices->all(),
            'is_lan' => $this->isLan,
            'code' => $code,
            'minutes' => Devices::CODE_MINUTES,
            'url' => $this->lan->said('url'),
            'trust' => $trust,
            'qr' => null === $trust ? [] : $this->qr->runs($trust),
            'qr_size' => null === $trust ? 0 : \count($this->qr->rows($trust)),
            'fingerprint' => $this->certificates->isThere() ? $this->certificates->fingerprint() : null,
            'problem' => $problem,
        ]);
    }

    /** The code stands on this page alone, and nowhere else. */
    #[Route('/upkeep/devices', name: 'device_code', methods: ['POST'])]
    public function code(): Response
    {
        return $this->index(null, $this->devices->code($this->me()));
    }

    #[Route('/upkeep/devices/{id<[0-9]{1,9}>}/shut-out', name: 'shut_out', methods: ['POST'])]
    public function shutOut(Request $request, int $id): Response
    {
        return $this->write($request, function () use ($id): Outcome {
            $device = $this->devices->shutOut($id) ?? throw Unknown::page();

            return Outcome::final($this->generateUrl('devices'), \sprintf('%s is shut out. To come back it needs a new code.', $device->name));
        }, $this->index(...));
    }
}
