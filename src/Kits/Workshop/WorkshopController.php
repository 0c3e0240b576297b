<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Kits\Kits\TrayRow;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\TableFile;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Stores\RoomReading;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Words\Counted;
use Lottel\Core\Workshop\CameBack;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\InvalidWorkshop;
use Lottel\Core\Workshop\Share;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A class: who comes, what each one gets, the bags, what is carried there, what comes back. */
final class WorkshopController extends Page
{
    private const MOST_MADE = 20;
    private const USUAL_PERSONS = 8;

    public function __construct(
        private readonly Kits $kits,
        private readonly KitReading $reading,
        private readonly Workshops $workshops,
        private readonly WorkshopReading $workshop,
        private readonly PlanWorkshop $plan,
        private readonly ClassList $lists,
        private readonly Items $items,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class', name: 'class', methods: ['GET'])]
    public function index(int $id, ?Problem $problem = null): Response
    {
        $kit = $this->kits->one($id);
        $workshop = $this->workshops->of($kit);
        $page = null === $workshop ? null : $this->workshop->of($workshop);

        return $this->render('kits/workshop/class.html.twig', [
            'kit' => $this->reading->one($id),
            'page' => $page,
            'usual' => self::USUAL_PERSONS,
            'lit' => $this->room->lit(array_map(static fn (WorkshopRow $row): ?int => $row->need?->thing->homeId, $page->rows ?? [])),
            'problem' => $problem,
        ]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class', name: 'plan_class', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function plan(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $said = $this->described($input);
            $workshop = ($this->plan)($this->kits->one($id), $said);

            return $this->done($id, 'class', \sprintf('A class of %s.', $workshop->headcount()->inWords()));
        }, fn (Problem $problem): Response => $this->index($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class/shares', name: 'deal_out', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function dealOut(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $workshop = $this->workshops->one($this->kits->one($id));
            $needs = $pieces = $toNobody = [];
            foreach ($this->workshop->of($workshop)->rows as $row) {
                $share = $row->isDesigned || $input->isEmpty($row->key) ? null : $this->share($input, $row);
                if (!$row->isDesigned && $input->has($row->key) && $input->isEmpty($row->key)) {
                    $toNobody[] = $row->key;
                }
                if (null !== $share && $row->isPiece()) {
                    $pieces[$row->id()] = $share;
                } elseif (null !== $share) {
                    $needs[$row->id()] = $share;
                }
            }
            $input->check();
            $this->plan->dealOut($workshop, $needs, $pieces, $toNobody);
            $open = \count($this->workshop->of($workshop)->open());

            return $this->done($id, 'class', 0 === $open
                ? 'The list and the cuts follow.'
                : \sprintf('The list and the cuts follow. Of %s nobody has said who gets how much.', Counted::of($open, 'line')));
        }, fn (Problem $problem): Response => $this->index($id, $problem));
    }

    /** The check round: one bag after the other. */
    #[Route('/kits/{id<[0-9]{1,12}>}/class/bags', name: 'class_bags', methods: ['GET'])]
    public function bags(int $id, ?Problem $problem = null): Response
    {
        $kit = $this->kits->one($id);
        $page = $this->workshop->of($this->workshops->one($kit));

        return $this->render('kits/workshop/bags.html.twig', [
            'kit' => $this->reading->one($id),
            'page' => $page,
            'next' => $page->workshop->nextBag(),
            'problem' => $problem,
        ]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class/bags', name: 'pack_bag', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function pack(Request $request, int $id, PackBag $pack): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $pack): Outcome {
            $workshop = $this->workshops->one($this->kits->one($id));
            $number = $input->whole('bag', 1, Headcount::MOST_PERSONS + Headcount::MOST_SPARES);
            $isBack = $input->isTicked('unpack');
            $input->check();
            $isBack ? $pack->unpacked($workshop, $number) : $pack->packed($step, $workshop, $number);

            return $this->done($id, 'class_bags', \sprintf($isBack ? 'Bag %d is to be packed anew.' : 'Bag %d is packed.', $number));
        }, fn (Problem $problem): Response => $this->bags($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class/{list<pack-out|participants>}.{type<txt|pdf>}', name: 'class_list', methods: ['GET'])]
    public function written(int $id, string $list, string $type): Response
    {
        $page = $this->workshop->of($this->workshops->one($this->kits->one($id)));
        $text = 'pack-out' === $list ? $this->lists->packOut($page) : $this->lists->participants($page);

        return 'pdf' === $type
            ? $this->download($this->lists->pdf($text), 'application/pdf', $list.'.pdf')
            : $this->download($text, 'text/plain; charset=utf-8', $list.'.txt');
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class/pack-out.{type<csv|xlsx>}', name: 'class_file', methods: ['GET'])]
    public function table(int $id, string $type, TableFile $file): Response
    {
        return $file->answer($this->lists->packOutTable($this->workshop->of($this->workshops->one($this->kits->one($id)))), $type);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class/back', name: 'class_back', methods: ['GET'])]
    public function back(int $id, ?Problem $problem = null): Response
    {
        $workshop = $this->workshops->one($this->kits->one($id));

        return $this->render('kits/workshop/back.html.twig', [
            'kit' => $this->reading->one($id),
            'page' => $this->workshop->of($workshop),
            'tray' => $this->reading->tray($id),
            'problem' => $problem,
        ]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/class/back', name: 'after_class', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function cameBack(Request $request, int $id, AfterClass $after): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $after): Outcome {
            $kit = $this->kits->one($id);
            $this->workshops->one($kit);
            $back = $this->counted($input, $kit);
            $input->check();
            $short = $after($step, $kit, $back);
            $missing = array_values(array_filter($short, static fn (array $one): bool => $one[1]->missing > 0));

            return $this->done($id, 'return_kit', $this->afterInWords(\count($short) - \count($missing), $missing));
        }, fn (Problem $problem): Response => $this->back($id, $problem));
    }

    private function described(Input $input): WorkshopDescription
    {
        $persons = $input->whole('persons', 1, Headcount::MOST_PERSONS);
        $spares = $input->isEmpty('spares') ? 0 : $input->whole('spares', 0, Headcount::MOST_SPARES);
        $makes = $input->isEmpty('each_makes') ? 1 : $input->whole('each_makes', 1, self::MOST_MADE);
        [$bring, $names, $also] = [$input->text('bring', 4000), $input->text('names', 8000), $input->text('also', 4000)];
        $many = \count(Workshop::lines($names));
        if ($many > $persons) {
            $input->refuse('names', \sprintf('%s for %s.', Counted::of($many, 'name'), Counted::of($persons, 'person', 'persons')));
        }
        $input->check();

        return new WorkshopDescription(new Headcount($persons, $spares), $makes, $bring, $names, $also);
    }

    private function share(Input $input, WorkshopRow $row): ?Share
    {
        $each = $row->tracking->movesWhole() ? $input->whole($row->key, 1, Headcount::MOST_PERSONS) : $input->quantity($row->key, $row->tracking);
        $among = $input->isEmpty($row->key.'-among') ? 1 : $input->whole($row->key.'-among', 1, Headcount::MOST_PERSONS);
        try {
            return new Share($each, $among);
        } catch (InvalidWorkshop $refused) {
            $input->refuse($row->key, $refused->getMessage());

            return null;
        }
    }

    /** @return list<array{Item, int}> */
    private function counted(Input $input, Kit $kit): array
    {
        $back = [];
        foreach ($this->reading->tray((int) $kit->id) as $row) {
            $field = 'back-'.$row->thing->id;
            if ($input->has('was-'.$row->thing->id)) {
                $back[] = [$this->items->one($row->thing->id), $this->cameBackOf($input, $field, $row)];
            }
        }
        if ([] === $back) {
            throw new InvalidInput(['' => 'Nothing of it is on the tray any more.']);
        }

        return $back;
    }

    private function cameBackOf(Input $input, string $field, TrayRow $row): int
    {
        if (Tracking::One === $row->thing->tracking) {
            return $input->isTicked($field) ? $row->quantity : 0;
        }
        if ($input->isEmpty($field) || 1 === preg_match('/^(0|none)$/iD', $input->text($field, 40))) {
            return 0;
        }
        $quantity = $input->quantity($field, $row->thing->tracking);
        if ($quantity > $row->quantity) {
            $input->refuse($field, \sprintf('Only %s went.', $this->quantityInWords($row->quantity, $row->thing->tracking)));
        }

        return $quantity;
    }

    /** @param list<array{Item, CameBack}> $missing */
    private function afterInWords(int $handedOut, array $missing): string
    {
        $names = array_map(static fn (array $one): string => $one[0]->name, $missing);

        return trim(\sprintf(
            '%s %s',
            0 === $handedOut ? '' : \sprintf('Of %s what did not come back is handed out.', Counted::of($handedOut, 'thing')),
            [] === $names ? 'Nothing is missing. Now the rest goes home.' : Counted::sentence($names, 'missing and marked lost. Now the rest goes home.'),
        ));
    }

    private function done(int $id, string $route, string $said): Outcome
    {
        return Outcome::undoable($this->generateUrl($route, ['id' => $id]), $said);
    }
}
