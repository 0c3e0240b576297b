<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\Progress;
use App\Room\Stores\Places;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\ListImport\ListField;
use Lottel\Core\Paper\Basis;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A list that somebody has already: its columns are matched, its mistakes mended, and only then is it taken in. */
#[IsGranted('ROLE_OWNER')]
final class ListImportController extends Page
{
    private const SAMPLE = 6;
    private const SHOWN = 25;
    private const MISTAKES = 40;
    private const BETWEEN = 40;
    private const PLACES = 30;

    public function __construct(
        private readonly ImportedLists $lists,
        private readonly LookAtList $look,
        private readonly PlacesOfList $named,
        private readonly Places $places,
    ) {
    }

    #[Route('/stores/list', name: 'lists', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        return $this->render('room/list_import/index.html.twig', ['lists' => $this->lists->of($this->me()), 'problem' => $problem]);
    }

    #[Route('/stores/list', name: 'add_list', methods: ['POST'])]
    public function add(Request $request): Response
    {
        return $this->attempt(
            $request,
            fn (Input $input): string => $this->generateUrl('list', ['id' => $this->lists->add($input->file('file'), $this->me())->id]),
            $this->index(...),
        );
    }

    #[Route('/stores/list/{id<[0-9a-f-]{1,36}>}', name: 'list', methods: ['GET'])]
    public function show(Request $request, string $id, ?Problem $problem = null): Response
    {
        $list = $this->lists->one($id, $this->me());
        $from = max(0, min(InvalidSheet::MOST_ROWS, $request->query->getInt('from')));
        $looked = ($this->look)($list, $from, self::SHOWN);
        $alike = AlikeMistakes::of($looked->mistakes, $list);

        return $this->render('room/list_import/list.html.twig', [
            'list' => $list,
            'looked' => $looked,
            'open_run' => $this->look->openRun($list),
            'half_out' => $this->look->halfOut($list),
            'sample' => $this->sample($list),
            'alike' => \array_slice($alike, 0, self::MISTAKES),
            'alike_left' => max(0, \count($alike) - self::MISTAKES),
            'between' => \array_slice($looked->between, 0, self::BETWEEN),
            'from' => $from,
            'shown' => self::SHOWN,
            'addresses' => $this->named->addresses($looked->places()),
            'unknown' => \array_slice($looked->unknownPlaces, 0, self::PLACES, true),
            'fields' => ListField::cases(),
            'kinds' => Kind::cases(),
            'ways' => DoublesOnList::cases(),
            'pounds' => Basis::cases(),
            'problem' => $problem,
        ]);
    }

    /** What the columns say, and what is to be done with what is not clear. */
    #[Route('/stores/list/{id<[0-9a-f-]{1,36}>}', name: 'match_list', methods: ['POST'])]
    public function match(Request $request, string $id): Response
    {
        $list = $this->lists->one($id, $this->me());

        return $this->attempt($request, function (Input $input) use ($list): string {
            $this->checkRests($list);
            $this->readColumns($input, $list);
            $list->kind = Kind::tryFrom($input->text('kind', 20));
            $list->doubles = $input->choice('doubles', DoublesOnList::class);
            $list->pounds = $input->has('pounds') ? $input->choice('pounds', Basis::class) : $list->pounds;
            $list->places = $this->readPlaces($input) + $list->places;
            $list->nevertheless = self::readThings($input, $list);
            $input->check();
            $this->lists->keep($list);

            return $this->generateUrl('list', ['id' => $list->id]);
        }, fn (Problem $problem): Response => $this->show($request, $id, $problem));
    }

    /** Cells that were mended, those that are alike by one field. */
    #[Route('/stores/list/{id<[0-9a-f-]{1,36}>}/mend', name: 'mend_list', methods: ['POST'])]
    public function mend(Request $request, string $id): Response
    {
        $list = $this->lists->one($id, $this->me());

        return $this->attempt($request, function (Input $input) use ($list): string {
            $this->checkRests($list);
            foreach (AlikeMistakes::of(($this->look)($list)->mistakes, $list) as $alike) {
                $field = 'cell_'.$alike->first->row;
                foreach ($input->has($field) ? $alike->rows : [] as $row) {
                    $list->mend($row, $alike->first->field, $alike->cells($row), $input->text($field, 4000));
                }
            }
            $this->lists->keep($list);

            return $this->generateUrl('list', ['id' => $list->id]);
        }, fn (Problem $problem): Response => $this->show($request, $id, $problem));
    }

    #[Route('/stores/list/{id<[0-9a-f-]{1,36}>}/take-in', name: 'take_list_in', methods: ['POST'])]
    public function takeIn(Request $request, string $id, TakeInList $takeIn, Progress $progress): Response
    {
        $list = $this->lists->one($id, $this->me());

        return $this->attempt($request, function (Input $input) use ($list, $takeIn, $progress): string {
            set_time_limit(0);
            $run = $input->requestId();
            $tell = static function (float $share) use ($progress, $run): void {
                $progress->tell($run, $share, 'The list is taken in');
            };
            try {
                $outcome = $takeIn($list, $run, $this->me(), $this->generateUrl('list', ['id' => $list->id]), $tell);
            } finally {
                $progress->end($run);
            }

            return $this->withDone($outcome->goTo, $run);
        }, fn (Problem $problem): Response => $this->show($request, $id, $problem));
    }

    #[Route('/stores/list/{id<[0-9a-f-]{1,36}>}/put-away', name: 'forget_list', methods: ['POST'])]
    public function forget(string $id): Response
    {
        $this->lists->remove($this->lists->one($id, $this->me()));

        return $this->redirectToRoute('lists', status: 303);
    }

    /** While a list is being taken in, it stays as it was looked at. */
    private function checkRests(ImportedList $list): void
    {
        if (null !== $this->look->openRun($list) || null !== $this->look->halfOut($list)) {
            throw StepRefused::goesOnElsewhere();
        }
    }

    /** Where other headings are chosen, they say what the columns are. */
    private function readColumns(Input $input, ImportedList $list): void
    {
        $heading = $input->whole('heading_row', 0, ImportedList::rowsSeen());
        if ($heading !== $list->headingRow) {
            $list->takeHeadings($heading);

            return;
        }
        $columns = array_map(static fn (string $said): ?ListField => ListField::tryFrom($said), $input->list('columns'));
        $list->columns = \array_slice(array_pad($columns, $list->width, null), 0, $list->width);
        $this->checkColumns($input, $list);
    }

    /** @return list<int> rows that are things although they look otherwise */
    private static function readThings(Input $input, ImportedList $list): array
    {
        $asked = array_map(intval(...), $input->list('between'));
        $ticked = array_map(intval(...), $input->list('things'));

        return array_values(array_unique([...array_diff($list->nevertheless, $asked), ...array_intersect($asked, $ticked)]));
    }

    private function checkColumns(Input $input, ImportedList $list): void
    {
        $words = array_map(static fn (?ListField $field): string => $field->value ?? '', $list->columns);
        $said = array_filter($words, static fn (string $one): bool => '' !== $one);
        if (!\in_array(ListField::Name, $list->columns, true)) {
            $input->refuse('columns', 'Say which column has the names.');
        }
        $twice = array_diff_key($said, array_unique($said));
        if ([] !== $twice) {
            $input->refuse('columns', \sprintf('Two columns say %s. Leave one of them out.', ListField::from((string) reset($twice))->label()));
        }
    }

    /** @return array<string, string> addresses by what the list calls the places */
    private function readPlaces(Input $input): array
    {
        $places = [];
        $addresses = $input->list('addresses');
        foreach ($input->list('names') as $nth => $name) {
            $address = trim($addresses[$nth] ?? '');
            if ('' !== $address) {
                $isHeap = \in_array(mb_strtolower($address), ['-', 'not filed'], true);
                $places[mb_strtolower(trim($name))] = $isHeap ? '' : $this->address($input, $address);
            }
        }

        return $places;
    }

    private function address(Input $input, string $typed): string
    {
        try {
            return $this->places->inUse($typed)->address;
        } catch (Unknown $unknown) {
            $input->refuse('addresses', $unknown->getMessage());

            return '';
        }
    }

    /** @return array<int, list<string>> the first rows, by their number, with what stands above the headings */
    private function sample(ImportedList $list): array
    {
        $sample = [];
        foreach (\array_slice($list->begins, 0, max(0, $list->headingRow - 1)) as $index => $cells) {
            $sample[$index + 1] = array_pad($cells, $list->width, '');
        }
        $above = \count($sample);
        foreach ($this->lists->rows($list) as $row => $cells) {
            $sample[$row] = array_pad($cells, $list->width, '');
            if (\count($sample) >= $above + self::SAMPLE) {
                break;
            }
        }

        return $sample;
    }
}
