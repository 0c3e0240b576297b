<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\People\Accounts\OpenRoom;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The whole room as one document. */
final class RoomFileController extends Page
{
    #[Route('/upkeep/room.json', name: 'room_file', methods: ['GET'])]
    #[IsGranted('ROLE_OWNER')]
    public function export(ExportRoom $export, ClockInterface $clock): Response
    {
        $write = static function (string $text): void {
            echo $text;
            flush();
        };

        return new StreamedResponse(static fn () => $export($write), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => \sprintf('attachment; filename="lottel-room-%s.json"', $clock->now()->format('Y-m-d')),
        ]);
    }

    /** Fills a room that nobody has opened yet from its document. */
    #[Route('/begin/room', name: 'bring_room', methods: ['GET', 'POST'])]
    #[IsGranted('PUBLIC_ACCESS')]
    public function bring(Request $request, ImportRoom $import, OpenRoom $open): Response
    {
        if ($open->isOpen() || $request->isMethodSafe()) {
            return $this->redirectToRoute($open->isOpen() ? 'sign_in' : 'begin', status: 303);
        }
        set_time_limit(0);
        $input = $this->input($request);
        try {
            $import($this->document($input));
        } catch (InvalidRoomFile $invalid) {
            $input->refuse('file', ('' === $invalid->field ? '' : $invalid->field.': ').$invalid->getMessage());
        } catch (RoomHasLog) {
            return $this->redirectToRoute('sign_in', status: 303);
        }
        try {
            $input->check();
        } catch (InvalidInput $invalid) {
            return $this->render('people/accounts/begin.html.twig', [
                'problem' => Problem::from($invalid, $request, $this->measures->quantities()),
                'zones' => \DateTimeZone::listIdentifiers(),
            ], new Response(status: 422));
        }

        return $this->redirectToRoute('sign_in', status: 303);
    }

    /** @return resource */
    private function document(Input $input)
    {
        $file = $input->file('file');
        if (null === $file) {
            throw new InvalidRoomFile('', 'Choose the document first.');
        }
        $isLarge = \in_array($file->getError(), [\UPLOAD_ERR_INI_SIZE, \UPLOAD_ERR_FORM_SIZE], true);
        $handle = $file->isValid() ? fopen($file->getPathname(), 'r') : false;
        if (false === $handle) {
            throw new InvalidRoomFile('', $isLarge
                ? 'The document is too large to come through the browser. On the machine that keeps the room: bin/console lottel:import FILE.'
                : 'The document did not arrive. Choose it once more.');
        }

        return $handle;
    }
}
