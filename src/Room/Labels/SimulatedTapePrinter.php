<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\LabelDrawing;
use Lottel\Core\Label\Tape;
use Symfony\Component\Clock\ClockInterface;

/**
 * Stands in for a label-tape printer: keeps its tape, its last labels and its moods in a file beside the database.
 *
 * @phpstan-type State array{tape: int, left: int, jammed: bool, last: list<array{text: string, svg: string, at: string}>}
 */
final readonly class SimulatedTapePrinter implements TapePrinter
{
    /** A new tape is eight metres long, in tenths of a millimetre. */
    public const FULL = 80_000;
    private const KEPT = 12;

    public function __construct(private LabelSvg $svg, private ClockInterface $clock, private string $dataDir)
    {
    }

    public function status(): TapeStatus
    {
        return $this->changed(static fn (array $state): array => $state);
    }

    public function print(LabelDrawing $label, string $text): void
    {
        $this->changed(function (array $state) use ($label, $text): array {
            if ($state['jammed']) {
                throw TapeTrouble::jammed();
            }
            $inside = Tape::from($state['tape']);
            if ($inside->height() !== $label->size->height) {
                throw TapeTrouble::otherWidth($inside->value, intdiv($label->size->height, 10));
            }
            if ($state['left'] < $label->size->width) {
                throw TapeTrouble::out();
            }
            $state['left'] -= $label->size->width;
            array_unshift($state['last'], ['text' => $text, 'svg' => $this->svg->write($label), 'at' => $this->clock->now()->format('Y-m-d H:i:s')]);
            $state['last'] = \array_slice($state['last'], 0, self::KEPT);

            return $state;
        });
    }

    public function load(Tape $tape, int $left = self::FULL): void
    {
        $this->changed(static fn (array $state): array => ['tape' => $tape->value, 'left' => $left, 'jammed' => false] + $state);
    }

    /** Forgets all that was printed. */
    public function empty(): void
    {
        $this->changed(static fn (array $state): array => ['last' => []] + $state);
    }

    public function jam(bool $isJammed): void
    {
        $this->changed(static fn (array $state): array => ['jammed' => $isJammed] + $state);
    }

    /** @param callable(State): State $change */
    private function changed(callable $change): TapeStatus
    {
        $file = fopen($this->dataDir.'/tape-printer.json', 'c+');
        \assert(false !== $file);
        flock($file, \LOCK_EX);
        try {
            $kept = json_decode((string) stream_get_contents($file), true);
            /** @var State $state */
            $state = (\is_array($kept) ? $kept : []) + [
                'tape' => Tape::Twelve->value,
                'left' => self::FULL,
                'jammed' => false,
                'last' => [],
            ];
            $next = $change($state);
            if ($next !== $state) {
                rewind($file);
                ftruncate($file, 0);
                fwrite($file, (string) json_encode($next));
            }

            return new TapeStatus(Tape::from($next['tape']), $next['left'], $next['jammed'], $next['last']);
        } finally {
            fclose($file);
        }
    }
}
