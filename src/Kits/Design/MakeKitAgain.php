<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Cutting\CuttingOfKit;
use App\Kits\Cutting\PieceToCut;
use App\Kits\Cutting\PlanCuts;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\KitList;
use App\Kits\Kits\KitReading;
use App\Kits\Kits\Need;
use App\Kits\Kits\NeedRow;
use App\Kits\Kits\PlanKit;
use App\Platform\Steps\Step;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Cutting\InvalidPieces;
use Lottel\Core\Design\InvalidDesign;
use Lottel\Core\Kit\Again;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Words\Counted;

/** Plans a kit like one that there was, in another number: its list, its pieces, its design, with what is there now. */
final readonly class MakeKitAgain
{
    private const NAMED = 3;

    public function __construct(
        private PlanKit $plan,
        private KitList $list,
        private KitReading $reading,
        private Designs $designs,
        private BeginDesign $begin,
        private CuttingOfKit $cutting,
        private PlanCuts $planCuts,
        private EntityManagerInterface $entities,
    ) {
    }

    /**
     * @param int|null $pieces null where it stays as many
     *
     * @return array{Kit, string} the new kit, and what is another way than before
     *
     * @throws InvalidDesign if its design cannot be made in that number
     * @throws InvalidPieces if that is more than a cut plan can hold
     */
    public function __invoke(Step $step, Kit $like, ?int $pieces): array
    {
        $before = $this->designs->of($like)?->design()->quantity ?? Makes::read($like->makes)->pieces;
        $now = $pieces ?? $before ?? 1;
        $kit = ($this->plan)($step, new KitDescription(
            $like->name,
            Makes::numbered($like->makes, $now),
            null,
            $like->forWhom,
            $like->occasion,
            $like->note,
        ));
        $design = $this->designs->of($like);
        if (null !== $design) {
            ($this->begin)($kit, $design->design()->with(['quantity' => $now]), $design->pattern);
        }
        $this->pieces($like, $kit, $before, $now);
        $told = $this->lines($like, $kit, $before, $now);
        $this->entities->flush();

        return [$kit, implode(' ', [...$told, ...$this->short($kit)])];
    }

    /** The pieces that a person asked for by hand; those of a design come of the design. */
    private function pieces(Kit $like, Kit $kit, ?int $before, int $now): void
    {
        $asked = array_filter($this->cutting->pieces($like), static fn (PieceToCut $piece): bool => null === $piece->part);
        foreach ($asked as $piece) {
            $quantity = Again::quantity($piece->paper->tracking, $piece->quantity, $before, $now);
            if ($quantity > PieceToCut::MOST) {
                throw InvalidPieces::quantityIsOut($piece->name, PieceToCut::MOST);
            }
            $this->entities->persist($piece->again($kit, $quantity));
        }
        if ([] !== $asked) {
            ($this->planCuts)($kit);
        }
    }

    /** @return list<string> what is gone, and what was taken instead of something */
    private function lines(Kit $like, Kit $kit, ?int $before, int $now): array
    {
        $gone = $instead = [];
        foreach ($this->entities->getRepository(Need::class)->findBy(['kit' => $like], ['id' => 'ASC']) as $need) {
            if (NeedState::Replaced === $need->state()) {
                $instead[] = $need->item->name;
            } elseif ($need->byHand() > 0 && null !== $need->item->removedAt) {
                $gone[] = $need->item->name;
            } elseif ($need->byHand() > 0) {
                $this->list->add($kit, $need->item, Again::quantity($need->item->tracking, $need->byHand(), $before, $now));
            }
        }

        return array_values(array_filter([
            [] === $gone ? '' : \sprintf('%s %s gone from the catalogue.', Counted::names($gone, 'thing', self::NAMED), Counted::verb(\count($gone))),
            [] === $instead ? '' : \sprintf('What was taken instead of %s is on the list.', Counted::names($instead, 'thing', self::NAMED)),
        ], static fn (string $one): bool => '' !== $one));
    }

    /** @return list<string> what there is too little of by now */
    private function short(Kit $kit): array
    {
        $short = array_filter($this->reading->needs((int) $kit->id), static fn (NeedRow $need): bool => $need->shortfall() > 0);
        $names = array_values(array_map(static fn (NeedRow $need): string => $need->thing->name, $short));

        return [] === $names ? [] : [\sprintf('Of %s there is too little now.', Counted::names($names, 'thing', self::NAMED))];
    }
}
