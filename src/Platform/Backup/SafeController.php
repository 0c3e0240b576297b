<?php

declare(strict_types=1);

namespace App\Platform\Backup;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\Progress;
use App\Platform\Web\SaidAtTheDoor;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\ResponseHeaderBag;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Backups: how old the last one is, making one, taking one along. */
#[IsGranted('ROLE_OWNER')]
final class SafeController extends Page
{
    public function __construct(private readonly Backups $backups, private readonly AgeOfBackup $age, private readonly ClockInterface $clock)
    {
    }

    #[Route('/upkeep/safe', name: 'safe', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        return $this->render('platform/backup/safe.html.twig', [
            'age' => $this->age->now(),
            'backups' => $this->backups->all(),
            'command' => \sprintf('LOTTEL_DATA=%s bin/restore', escapeshellarg(\dirname($this->backups->folder()))),
            'folder' => $this->backups->folder(),
            'taken_at' => $this->backups->takenAt(),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/safe', name: 'back_up', methods: ['POST'])]
    public function backUp(Request $request, MakeBackup $make, Progress $progress): Response
    {
        $made = '';

        return $this->write(
            $request,
            function () use (&$made): Outcome {
                return $this->done(\sprintf('The whole room is in %s.', $made));
            },
            $this->index(...),
            static function (Input $input) use ($make, $progress, &$made): void {
                $id = $input->requestId();
                try {
                    $tell = static function (float $share) use ($progress, $id): void {
                        $progress->tell($id, $share, 'The backup is being written');
                    };
                    $made = basename($make(BackupReason::Asked, null, $tell)->path);
                } finally {
                    $progress->end($id);
                }
            },
        );
    }

    #[Route('/upkeep/safe/{name<[\w.-]{1,80}>}', name: 'take_backup', methods: ['GET'])]
    public function take(string $name): Response
    {
        $backup = $this->backups->named($name) ?? throw $this->createNotFoundException('There is no such backup.');
        $this->backups->taken($this->clock->now());
        $response = new BinaryFileResponse($this->backups->path($backup), 200, ['Content-Type' => 'application/zip'], false);

        return $response->setContentDisposition(ResponseHeaderBag::DISPOSITION_ATTACHMENT, $backup->name);
    }

    #[Route('/upkeep/safe/{name<[\w.-]{1,80}>}/throw-away', name: 'throw_backup_away', methods: ['POST'])]
    public function throwAway(Request $request, string $name): Response
    {
        return $this->write($request, function () use ($name): Outcome {
            $backup = $this->backups->named($name) ?? throw BackupFailed::isGone();
            if ($backup->name === $this->backups->newest()?->name) {
                throw BackupFailed::isNewest();
            }
            $this->backups->throwAway($backup);

            return $this->done(\sprintf('%s is gone.', $backup->name));
        }, $this->index(...));
    }

    /** The room is as it was in a backup; the one that is here is kept aside as another one. */
    #[Route('/upkeep/safe/{name<[\w.-]{1,80}>}/bring-back', name: 'bring_backup_back', methods: ['POST'])]
    public function bringBack(Request $request, string $name, RestoreBackup $restore, Security $security): Response
    {
        try {
            $input = $this->input($request);
            $input->requestId();
            $backup = $restore->look($this->backups->path($this->backups->named($name) ?? throw BackupFailed::isGone()));
            if ($restore->isEarlier($backup->manifest->schema)) {
                throw BackupFailed::isOfAnEarlierVersion();
            }
            $back = $restore($backup);
        } catch (InvalidBackup|BackupFailed|InvalidInput $refused) {
            $response = $this->index(Problem::from($refused, $request, $this->measures->quantities()));
            $response->setStatusCode(409);

            return $response;
        }
        $said = \sprintf(
            'The room is as it was on %s. What was here until now is kept as %s. %s',
            $backup->manifest->madeAt->setTimezone($this->roomClock->timeZone())->format('j F Y, G:i'),
            basename($back->kept ?? ''),
            $back->sentence(),
        );
        $security->logout(false);
        $request->getSession()->invalidate();
        SaidAtTheDoor::say($request->getSession(), trim($said));

        return $this->redirectToRoute('sign_in', status: 303);
    }

    private function done(string $said): Outcome
    {
        return Outcome::final($this->generateUrl('safe'), $said);
    }
}
