<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/**
 * Stands in for a scale: keeps what lies on it and its mood in a file beside the database.
 *
 * @phpstan-type State array{grams: float, mood: string}
 */
final readonly class SimulatedScale implements Scale
{
    public const MOST = 5000;
    private const ERROR = 1.0;

    public function __construct(private string $dataDir)
    {
    }

    public function weigh(): ScaleReading
    {
        $state = $this->state();
        $mood = ScaleMood::tryFrom($state['mood']) ?? ScaleMood::Steady;
        if (ScaleMood::Drifting === $mood) {
            throw ScaleTrouble::drifts();
        }
        if (ScaleMood::Overloaded === $mood || $state['grams'] > self::MOST) {
            throw ScaleTrouble::isOverloaded(self::MOST);
        }
        if (ScaleMood::ReadsNought === $mood || $state['grams'] < self::ERROR) {
            throw ScaleTrouble::showsNothing();
        }

        return new ScaleReading(round($state['grams']), self::ERROR);
    }

    /** Lays something on it. */
    public function load(float $grams): void
    {
        $this->keep(['grams' => $grams] + $this->state());
    }

    public function be(ScaleMood $mood): void
    {
        $this->keep(['mood' => $mood->value] + $this->state());
    }

    public function mood(): ScaleMood
    {
        return ScaleMood::tryFrom($this->state()['mood']) ?? ScaleMood::Steady;
    }

    /** @return State */
    private function state(): array
    {
        $kept = json_decode((string) @file_get_contents($this->path()), true);
        $kept = \is_array($kept) ? $kept : [];

        return [
            'grams' => is_numeric($kept['grams'] ?? null) ? (float) $kept['grams'] : 0.0,
            'mood' => \is_string($kept['mood'] ?? null) ? $kept['mood'] : ScaleMood::Steady->value,
        ];
    }

    /** @param State $state */
    private function keep(array $state): void
    {
        file_put_contents($this->path(), json_encode($state, \JSON_THROW_ON_ERROR), \LOCK_EX);
    }

    private function path(): string
    {
        return $this->dataDir.'/scale.json';
    }
}
