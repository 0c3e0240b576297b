<?php

declare(strict_types=1);

namespace App\Kits\Propose;

use App\Kits\Design\BeginDesign;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitDescription;
use App\Kits\Kits\KitList;
use App\Kits\Kits\PlanKit;
use App\Platform\Steps\Step;
use App\Platform\Web\Measures;
use App\Room\Catalogue\Item;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\Form;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\PaperChoice;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;
use Lottel\Core\Words\Counted;

/** A kit of a proposal: its list, and the design of a card with a mat and a panel; of which paper the base is, is asked on the board. */
final readonly class TakeProposal
{
    public function __construct(private PlanKit $plan, private KitList $list, private BeginDesign $begin, private Measures $measures)
    {
    }

    /**
     * @param Item|null $panel the paper of the panel
     * @param Item|null $mat the paper of the mat
     * @param list<Item> $things all else that it takes
     */
    public function __invoke(Step $step, int $pieces, string $wants, ?Item $panel, ?Item $mat, array $things): Kit
    {
        $stamps = array_values(array_filter($things, static fn (Item $thing): bool => Kind::StampSet === $thing->kind))[0] ?? null;
        $kit = ($this->plan)($step, new KitDescription(
            mb_substr(trim(ucfirst($wants).' cards'.(null === $stamps ? '' : ', '.$stamps->name)), 0, 120),
            \sprintf('%s, %s, top fold', Counted::of($pieces, 'card'), CardSize::usualIn($this->measures->measure())[0]->value),
            occasion: $wants,
        ));
        foreach ($things as $thing) {
            $this->list->add($kit, $thing, $thing->tracking->movesWhole() || Kind::Ink === $thing->kind ? 1 : $pieces);
        }
        ($this->begin)($kit, self::design($pieces, $this->measures->measure(), $panel, $mat));

        return $kit;
    }

    public static function design(int $pieces, LengthUnit $unit, ?Item $panel = null, ?Item $mat = null): Design
    {
        $reveal = Usual::in($unit)->reveal()->ticks;
        $paper = static fn (?Item $item): ?PaperChoice => null === $item ? null : new PaperChoice((int) $item->id);

        return (new Design(Form::Card, $pieces, CardSize::usualIn($unit)[0]->sides(), Fold::Top))->with([
            'layers' => [
                new Layer(1, 'mat', LayerKind::Mat, reveal: $reveal, paper: $paper($mat)),
                new Layer(2, 'panel', LayerKind::Mat, reveal: $reveal, paper: $paper($panel)),
            ],
            'next' => 3,
        ]);
    }
}
