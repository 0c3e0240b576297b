<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Label\InvalidLabel;
use Lottel\Core\Label\Tape;
use Lottel\Core\Measure\Length;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The tape printer, and the stand-in for one. */
final class TapeController extends Page
{
    private const MOST_SHOWN = 60;
    private const NEARLY_USED_UP = 250;

    public function __construct(private readonly TapePrinter $printer, private readonly MakeLabels $make)
    {
    }

    #[Route('/stores/tape', name: 'tape', methods: ['GET'])]
    public function tape(): Response
    {
        return $this->show(null);
    }

    #[Route('/stores/tape', name: 'print_tape', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function print(Request $request, PrintOnTape $print): Response
    {
        return $this->write($request, function (Input $input) use ($print): Outcome {
            $tape = self::chosen($input);
            $wishes = $this->make->chosen(array_map(intval(...), $input->list('wish')));
            $input->check();
            [$printed, $trouble] = $print($tape, $wishes);
            $said = 0 === $printed ? 'Nothing was chosen.' : \sprintf('%d on tape, cut and ready.', $printed);

            return Outcome::final($this->generateUrl('tape'), null === $trouble ? $said : $said.' Then it stopped. '.$trouble->getMessage());
        }, $this->show(...));
    }

    #[Route('/stores/tape/set', name: 'set_tape', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function set(Request $request, SimulatedTapePrinter $printer): Response
    {
        return $this->write($request, fn (Input $input): Outcome => Outcome::final($this->generateUrl('tape'), match ($input->text('do', 10)) {
            'jam' => self::jam($printer, true),
            'clear' => self::jam($printer, false),
            'forget' => self::forget($printer),
            'short' => self::load($printer, $input, self::NEARLY_USED_UP),
            default => self::load($printer, $input, SimulatedTapePrinter::FULL),
        }), $this->show(...));
    }

    private static function jam(SimulatedTapePrinter $printer, bool $isJammed): string
    {
        $printer->jam($isJammed);

        return $isJammed ? 'It is jammed.' : 'The jam is cleared.';
    }

    private static function forget(SimulatedTapePrinter $printer): string
    {
        $printer->empty();

        return 'The strips are gone.';
    }

    private static function load(SimulatedTapePrinter $printer, Input $input, int $left): string
    {
        $printer->load(self::chosen($input), $left);

        return 'A tape is in the printer.';
    }

    /** @throws InvalidLabel if there is no such tape */
    private static function chosen(Input $input): Tape
    {
        return Tape::tryFrom($input->whole('tape', 1, 99)) ?? throw InvalidLabel::tape();
    }

    private function show(?Problem $problem): Response
    {
        return $this->render('room/labels/tape.html.twig', [
            'left' => Length::ofTenthMillimetres($this->printer->status()->left),
            'status' => $this->printer->status(),
            'tapes' => Tape::cases(),
            'waiting' => $this->make->waiting(self::MOST_SHOWN),
            'is_simulated' => $this->printer instanceof SimulatedTapePrinter,
            'problem' => $problem,
        ]);
    }
}
