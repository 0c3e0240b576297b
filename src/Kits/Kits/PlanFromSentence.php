<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Step;
use App\Platform\Web\Measures;
use Lottel\Core\Design\DesignWords;
use Lottel\Core\Design\PassedOver;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Year\FinishedWords;

/** Plans a kit from one sentence, with its design where the sentence speaks of one. What is not understood is kept in its note. */
final readonly class PlanFromSentence
{
    private const LONGEST_NAME = 120;
    private const LONGEST_MAKES = 200;

    public function __construct(private PlanKit $plan, private DesignedList $design, private Measures $measures)
    {
    }

    public function __invoke(Step $step, string $sentence): PlannedFromSentence
    {
        $makes = null === Makes::read($sentence)->pieces ? '' : Makes::beginning($sentence, self::LONGEST_MAKES);
        $name = Makes::beginning(Makes::title($sentence), self::LONGEST_NAME);
        $kit = ($this->plan)($step, new KitDescription($name, $makes, occasion: FinishedWords::occasion($sentence)));
        $design = $this->design->reads($kit, $sentence);
        $passedOver = PassedOver::sentence($sentence, $this->measures->measure(), null !== $design);
        if ('' !== $passedOver || ($sentence !== $kit->makes && $sentence !== $kit->name)) {
            $kit->note($sentence);
        }

        return new PlannedFromSentence($kit, null !== $design, trim(($design ?? $this->whatNext($sentence)).' '.$passedOver));
    }

    private function whatNext(string $sentence): string
    {
        return DesignWords::lacksSize($sentence, $this->measures->measure())
            ? \sprintf('No design is begun, since no size is said that could be read: write one such as %s.', $this->measures->usual()->exampleOfPiece())
            : 'Now say what it needs.';
    }
}
