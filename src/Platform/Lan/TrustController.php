<?php

declare(strict_types=1);

namespace App\Platform\Lan;

use App\Platform\Web\Page;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Helps a device to trust this room's certificate authority; the one page that is served without encryption. */
final class TrustController extends Page
{
    #[Route('/trust', name: 'trust', methods: ['GET'])]
    public function index(Certificates $certificates, LanFiles $lan): Response
    {
        $this->isThere($certificates);

        return $this->render('platform/lan/trust.html.twig', ['fingerprint' => $certificates->fingerprint(), 'url' => $lan->said('url')]);
    }

    #[Route('/trust/lottel-authority.crt', name: 'trust_authority', methods: ['GET'])]
    public function authority(Certificates $certificates): Response
    {
        $this->isThere($certificates);

        return $this->download($certificates->authorityForDevices(), 'application/x-x509-ca-cert', 'lottel-authority.crt');
    }

    private function isThere(Certificates $certificates): void
    {
        if (!$certificates->isThere()) {
            throw $this->createNotFoundException('This room is not served to the workroom.');
        }
    }
}
