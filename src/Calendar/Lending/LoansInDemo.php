<?php

declare(strict_types=1);

namespace App\Calendar\Lending;

use App\Calendar\Year\Contacts;
use App\Platform\Steps\Step;
use App\Platform\Story\DemoChapters;
use App\Platform\Story\DemoTime;
use App\Platform\Story\Said;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Measure\LengthUnit;

/** What the demo room has lent and borrowed. */
final readonly class LoansInDemo implements DemoChapters
{
    public function __construct(
        private DemoTime $time,
        private LendThing $lend,
        private BorrowThing $borrow,
        private Contacts $contacts,
        private Items $items,
        private Places $places,
    ) {
    }

    public function chapters(Said $story): array
    {
        return $story->byDay('loans');
    }

    public function tell(Said $chapter): void
    {
        $this->time->at($chapter->int('day'), 18 * 60);
        $until = $this->time->day($chapter->int('until'));
        $this->time->do('ada', fn (Step $step) => $chapter->has('to') ? $this->lent($step, $chapter, $until) : $this->borrowed($step, $chapter, $until));
    }

    private function lent(Step $step, Said $said, \DateTimeImmutable $until): void
    {
        $item = $this->items->named($said->text('what')) ?? throw Said::unknown($said->text('what'));
        ($this->lend)($step, $item, 1, $this->contacts->named($said->text('to')), $until, $said->text('note', ''));
    }

    private function borrowed(Step $step, Said $said, \DateTimeImmutable $until): void
    {
        $rule = new PlaceRule(Kind::from($said->text('kind')));
        [$thing] = PastedThing::lines($said->text('what'), $rule, new QuantityText(LengthUnit::Inch));
        $place = $this->places->at($said->text('in')) ?? throw Said::unknown($said->text('in'));
        ($this->borrow)($step, $thing, $place, $this->contacts->named($said->text('from')), $until);
    }
}
