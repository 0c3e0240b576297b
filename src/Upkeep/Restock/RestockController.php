<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\TableFile;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\KeepHomes;
use App\Room\Catalogue\Prices;
use App\Room\Catalogue\TakeIn;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Outside;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What runs out when, what to buy where, and what was bought. */
final class RestockController extends Page
{
    private const COLUMNS = ['shop', 'what', 'maker', 'how much', 'why', 'about', 'like it there already'];

    public function __construct(
        private readonly RestockReading $stocks,
        private readonly CalendarReading $calendar,
        private readonly ShoppingList $list,
        private readonly Spending $spending,
        private readonly EntityManagerInterface $entities,
        private readonly Items $items,
    ) {
    }

    #[Route('/upkeep/stocks', name: 'stocks', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $stocks = $this->stocks->all();
        $rules = [];
        foreach ($this->entities->getRepository(Stocked::class)->findAll() as $rule) {
            $rules[(int) $rule->item->id] = $rule;
        }

        return $this->render('upkeep/restock/stocks.html.twig', [
            'stocks' => $stocks,
            'rules' => $rules,
            'today' => $this->roomClock->today(),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/stocks/{id<[0-9]{1,12}>}', name: 'say_stock', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function say(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input) use ($id): Outcome {
            $item = $this->stocked($id);
            $spare = $input->isEmpty('spare') || '0' === $input->text('spare', 20) ? 0 : $input->quantity('spare', $item->tracking);
            $lead = $input->isEmpty('lead') ? null : $input->whole('lead', 0, 365);
            $ceiling = $input->isEmpty('ceiling') ? null : $input->cents('ceiling');
            $of = null === $ceiling ? null : $input->quantity('of', $item->tracking);
            $input->check();
            $rule = $this->entities->getRepository(Stocked::class)->findOneBy(['item' => $item]) ?? new Stocked($item);
            $rule->say($spare, $lead, $ceiling, $of);
            $this->entities->persist($rule);

            return Outcome::undoable($this->generateUrl('stocks'), \sprintf('It is written down what is kept of %s.', $item->name));
        }, $this->index(...));
    }

    #[Route('/upkeep/shopping', name: 'shopping', methods: ['GET'])]
    public function shopping(?Problem $problem = null): Response
    {
        return $this->render('upkeep/restock/shopping.html.twig', [
            'shops' => $this->list->shops(),
            'seen' => $this->list->lastArrival(),
            'ahead' => $this->calendar->ahead(),
            'weeks' => CalendarReading::WEEKS,
            'months' => $this->spending->byMonth(),
            'makers' => $this->spending->byMaker(),
            'problem' => $problem,
        ]);
    }

    #[Route('/upkeep/shopping.{type<csv|xlsx>}', name: 'shopping_file', methods: ['GET'])]
    public function csv(string $type, TableFile $file): Response
    {
        $rows = [];
        foreach ($this->list->shops() as $shop) {
            foreach ($shop->lines as $line) {
                $rows[] = [
                    $shop->name,
                    $line->thing->name,
                    $line->thing->maker,
                    $this->quantityInWords($line->quantity, $line->thing->tracking),
                    $line->why,
                    null === $line->cents ? '' : number_format($line->cents / 100, 2, '.', ''),
                    implode(', ', array_map(static fn (AlikeThing $other): string => $other->thing->name.' ('.$other->why.')', $line->alike)),
                ];
            }
        }

        return $file->plain('shopping', self::COLUMNS, $rows, $type);
    }

    /** It was bought: it goes to its home, and the price is kept. */
    #[Route('/upkeep/shopping/{id<[0-9]{1,12}>}', name: 'bought', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function bought(Request $request, int $id, TakeIn $takeIn, KeepHomes $homes, Prices $prices): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $takeIn, $homes, $prices): Outcome {
            $item = $this->stocked($id);
            $quantity = $input->quantity('quantity', $item->tracking);
            $cents = $input->isEmpty('price') ? null : $input->cents('price');
            $shop = $input->text('shop', 120);
            $input->check();
            $this->list->checkNothingCame($item, $input->id('seen'));
            $home = $homes->homeOrHeap($item);
            $takeIn->stock($step, $item, $home, $quantity, Outside::Bought);
            if (null !== $cents) {
                $prices->paid($item, $cents, $quantity, new \DateTimeImmutable($this->roomClock->today()->format('Y-m-d')), $shop);
            }

            return Outcome::undoable($this->generateUrl('shopping'), \sprintf(
                '%s of %s in %s%s.',
                $this->quantityInWords($quantity, $item->tracking),
                $item->name,
                $home->address,
                null === $cents ? '' : ', for '.number_format($cents / 100, 2),
            ));
        }, $this->shopping(...));
    }

    /** @throws StepRefused if it is one thing, of which there is no stock */
    private function stocked(int $id): Item
    {
        $item = $this->items->one($id);

        return $item->tracking->isSingle() ? throw RestockRefused::isNoStock($item->name) : $item;
    }
}
