<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\LinesLeft;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Log\LogFilter;
use App\Room\Log\LogReading;
use App\Room\Stores\BuildUnit;
use App\Room\Stores\DescribePlace;
use App\Room\Stores\InnerRow;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceForm;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Colour\Family;
use Lottel\Core\Filing\SortBy;
use Lottel\Core\Furniture\Container;
use Lottel\Core\ListImport\PastedLines;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A place with what is in it, what belongs there, and what comes in. */
final class PlaceController extends Page
{
    private const MOST_AT_ONCE = 400;
    private const LINES_OF_LOG = 8;

    public function __construct(
        private readonly RoomReading $room,
        private readonly PlaceReading $reading,
        private readonly Places $places,
        private readonly Items $items,
        private readonly ContentsReading $contents,
        private readonly LogReading $log,
        private readonly HomeReading $homes,
        private readonly PlacePhotoReading $photos,
        private readonly LinesLeft $left,
        private readonly LikelyDoubles $doubles,
    ) {
    }

    #[Route('/stores/places/{address}', name: 'place', methods: ['GET'])]
    public function page(string $address, ?Problem $problem = null): Response
    {
        return $this->show($address, $problem);
    }

    #[Route('/stores/places/{address}', name: 'describe_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function describe(Request $request, string $address, DescribePlace $describe): Response
    {
        return $this->write($request, function (Input $input) use ($address, $describe): Outcome {
            $place = $this->places->inUse($address);
            $describe($place, PlaceForm::description($input));

            return Outcome::undoable($this->urlOf($place), 'Written down.');
        }, fn (Problem $problem): Response => $this->show($address, $problem));
    }

    #[Route('/stores/places/{address}/things', name: 'take_in', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function takeIn(Request $request, string $address, TakeIn $takeIn, WarnOfReach $warn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($address, $takeIn, $warn): Outcome {
            $place = $this->places->inUse($address);
            $lines = $this->pasted($input, $place);
            if ([] === $lines->things() || ([] !== $lines->wrong() && !$input->isTicked('right'))) {
                $input->refuse('things', [] === $lines->lines ? 'Please fill this in.' : self::said($lines));
                $input->check();
            }
            $items = $takeIn($step, $place, $lines->things());
            $left = \count($lines->wrong());
            $said = Counted::sentence(self::names($items), \sprintf('in %s now.', $place->address))
                .(0 === $left ? '' : ' '.Counted::of($left, 'line is', 'lines are').' left to be put right.');
            $url = $this->urlOf($place).($input->isTicked('quick') ? '?quick=1' : '');

            return Outcome::undoable($this->left->kept($lines->wrongText(), $url), trim($said.' '.$warn->ofHomes($items)));
        }, fn (Problem $problem): Response => $this->show($address, $problem, $this->previewed($request, $address)));
    }

    /** Shows what pasted lines would become, before anything is written. */
    #[Route('/stores/places/{address}/preview', name: 'preview', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function preview(Request $request, string $address): Response
    {
        $input = $this->input($request);
        try {
            $this->pasted($input, $this->places->inUse($address));
        } catch (InvalidInput $wrong) {
            $response = $this->show($address, Problem::from($wrong, $request, $this->measures->quantities()));
            $response->setStatusCode(422);

            return $response;
        }
        $response = $this->show($address, null, $this->previewed($request, $address));
        $response->headers->set('HX-Push-Url', 'false');

        return $response;
    }

    /** Puts things that lie loose in a place into its parts. */
    #[Route('/stores/places/{address}/parts', name: 'put_into_parts', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function intoParts(Request $request, string $address, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($address, $homes): Outcome {
            $place = $this->places->inUse($address);
            $parts = array_map(static fn (InnerRow $part): string => $part->address, $this->reading->inner((int) $place->id));
            $moved = [];
            foreach ($this->items->several($input->list('things'), self::MOST_AT_ONCE) as $item) {
                $part = $input->text('part_'.$item->id, 24);
                if ('' === $part) {
                    continue;
                }
                if (!\in_array($part, $parts, true)) {
                    $input->refuse('part_'.$item->id, 'Choose one of its parts.');
                    continue;
                }
                $homes->moveTo($step, $item, $this->places->inUse($part), $place);
                $moved[] = $item->name;
            }
            $input->check();
            if ([] === $moved) {
                throw StepRefused::nothingChosen();
            }

            return Outcome::undoable($this->urlOf($place), Counted::sentence($moved, 'in the parts of '.$place->address.' now.'));
        }, fn (Problem $problem): Response => $this->show($address, $problem));
    }

    #[Route('/stores/places/{address}/inner', name: 'divide_place', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function divide(Request $request, string $address, BuildUnit $build): Response
    {
        return $this->write($request, function (Input $input) use ($address, $build): Outcome {
            $label = $input->text('label', 4, true);
            $kind = $input->choice('kind', Container::class);
            $name = $input->text('inner_name', 120);
            $layer = $input->whole('layer', 0, 9);
            if (1 !== preg_match('/^[a-z0-9]{1,4}$/iD', $label)) {
                $input->refuse('label', 'One to four letters or digits, such as b.');
            }
            $input->check();
            $place = $this->places->inUse($address);
            $inner = $build->divide($place, $label, $kind->value, $name, $layer);

            return Outcome::undoable($this->urlOf($place), \sprintf('%s is inside %s.', $inner->address, $place->address));
        }, fn (Problem $problem): Response => $this->show($address, $problem));
    }

    /** @throws InvalidInput if there is nothing, or too much */
    private function pasted(Input $input, Place $place): PastedLines
    {
        $text = $this->pastedText($input);
        $input->check();

        return PastedLines::read($text, $place->rule(), $this->measures->quantities(), $this->ownColours->words());
    }

    /** What is typed as it would become things, and what of it cannot be read; null where nothing is typed. */
    private function previewed(Request $request, string $address): ?ThingsPreview
    {
        $input = $this->input($request);
        try {
            $lines = $this->pasted($input, $this->places->inUse($address));
        } catch (InvalidInput) {
            return null;
        }
        $things = $lines->things();

        return [] === $lines->lines
            ? null
            : new ThingsPreview($this->pastedText($input), $things, $this->doubles->of($things), $lines->wrong(), $lines->headings, $lines->passedOver);
    }

    private static function said(PastedLines $lines): string
    {
        $wrong = $lines->wrong();

        return 1 === \count($wrong)
            ? \sprintf('Line %d: %s', $wrong[0]->number, $wrong[0]->inWords())
            : \sprintf('%s cannot be read; what is wrong is told beside each.', Counted::of(\count($wrong), 'line'));
    }

    private function pastedText(Input $input): string
    {
        return $input->text('things', 40_000, true);
    }

    private function show(string $address, ?Problem $problem, ?ThingsPreview $preview = null): Response
    {
        $place = $this->reading->inUse($address);
        $scheme = $place->scheme();
        $contents = $this->contents->of($place->id, $scheme);
        $out = $this->contents->outOf($place->id);
        $inner = $this->reading->inner($place->id);

        return $this->render('room/catalogue/place.html.twig', [
            'place' => $place,
            'scheme' => $scheme,
            'contents' => $contents,
            'lying' => Lying::inOrder($contents, $out, $scheme),
            'out' => $out,
            'inner' => $inner,
            'parts' => $this->homes->parts($contents, $inner),
            'facts' => $this->homes->facts($place, $contents),
            'photo' => $this->photos->of($place),
            'preview' => $preview,
            'left' => $this->left->asked(),
            'families' => Family::cases(),
            'seasons' => Season::cases(),
            'log' => $this->log->lines(new LogFilter(place: $place->id), self::LINES_OF_LOG),
            'lit' => $this->room->lit([$place->id]),
            'kinds' => Kind::cases(),
            'sorts' => SortBy::cases(),
            'containers' => Container::cases(),
            'problem' => $problem,
        ]);
    }

    /**
     * @param list<Item> $items
     *
     * @return list<string>
     */
    private static function names(array $items): array
    {
        return array_map(static fn (Item $item): string => $item->name, $items);
    }

    private function urlOf(Place $place): string
    {
        return $this->generateUrl('place', ['address' => $place->address]);
    }
}
