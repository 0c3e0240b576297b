<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Birthdays out of a calendar or an address book: looked at first, then taken into the year. */
final class ImportController extends Page
{
    private const MOST_AT_ONCE = 400;

    public function __construct(private readonly DatesInFile $files, private readonly Occasions $occasions, private readonly Contacts $contacts)
    {
    }

    /** Shows what a file has; nothing is written. */
    #[Route('/occasions/file', name: 'look_for_dates', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function look(Request $request): Response
    {
        $input = $this->input($request);
        try {
            [$found, $without] = $this->files->read($this->content($input->file('file')));
            if ([] === $found) {
                throw InvalidDateFile::hasNone();
            }
        } catch (InvalidDateFile $invalid) {
            $problem = Problem::from($invalid, $request, $this->measures->quantities()) ?? throw $invalid;
            $response = $this->again($problem);
            $response->setStatusCode($problem->status);

            return $response;
        }

        return $this->render('calendar/year/import.html.twig', [
            'found' => \array_slice($this->marked($found), 0, self::MOST_AT_ONCE),
            'more' => max(0, \count($found) - self::MOST_AT_ONCE),
            'without' => $without,
        ]);
    }

    #[Route('/occasions/import', name: 'import_dates', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function import(Request $request, KeepOccasion $keep): Response
    {
        return $this->write($request, function (Input $input) use ($keep): Outcome {
            $dates = array_filter(array_map(FoundDate::read(...), \array_slice($input->list('dates'), 0, self::MOST_AT_ONCE)));
            $taken = 0;
            foreach ($dates as $date) {
                if (!$this->isKnown($date)) {
                    $keep(new OccasionDescription(
                        $date->kind,
                        KeepOccasion::nameOf($date->kind, $date->person),
                        $date->on,
                        $date->person,
                        '',
                        1,
                        $date->kind->usualDaysAhead(),
                    ));
                    ++$taken;
                }
            }
            $left = \count($dates) - $taken;

            return Outcome::undoable($this->generateUrl('occasions'), \sprintf(
                '%s into the year%s.',
                0 === $taken ? 'Nothing new came' : (1 === $taken ? '1 date came' : $taken.' dates came'),
                0 === $left ? '' : \sprintf('; %d %s there already', $left, 1 === $left ? 'was' : 'were'),
            ));
        }, fn (Problem $problem): Response => $this->again($problem));
    }

    private function content(?UploadedFile $file): string
    {
        if (null === $file || (!$file->isValid() && !\in_array($file->getError(), [\UPLOAD_ERR_INI_SIZE, \UPLOAD_ERR_FORM_SIZE], true))) {
            throw InvalidDateFile::didNotArrive();
        }
        if (!$file->isValid() || $file->getSize() > DatesInFile::MOST_BYTES) {
            throw InvalidDateFile::tooLarge();
        }

        return $file->getContent();
    }

    /**
     * @param list<FoundDate> $found
     *
     * @return list<FoundDate>
     */
    private function marked(array $found): array
    {
        return array_map(fn (FoundDate $date): FoundDate => $this->isKnown($date) ? $date->known() : $date, $found);
    }

    private function isKnown(FoundDate $date): bool
    {
        $contact = $this->contacts->known($date->person);

        return null !== $contact && null !== $this->occasions->sameOf($contact, $date->kind);
    }

    private function again(Problem $problem): Response
    {
        return $this->forward(OccasionController::class.'::index', ['problem' => $problem]);
    }
}
