<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

use Lottel\Core\Words\Counted;

/** Gathers what an undo put back, and says it: all of it, in one sentence. */
final class PutBack
{
    /** @var array<string, list<string>> names by what is said of them, in the order in which it happened */
    private array $said = [];

    /** @var list<string> sentences about what could not be taken back, and why */
    private array $stays = [];

    public function moved(string $thing, string $place): void
    {
        $this->note('back in '.$place, $thing);
    }

    /** A thing left the room again, to where it had come from. */
    public function left(string $thing, string $outside): void
    {
        $this->note('not in the room any more, as before it was '.$outside, $thing);
    }

    public function home(string $thing, ?string $address): void
    {
        $this->note(null === $address ? 'without a home again' : 'at home in '.$address.' again', $thing);
    }

    public function outOfCatalogue(string $thing): void
    {
        $this->note('out of the catalogue again', $thing);
    }

    public function backInCatalogue(string $thing): void
    {
        $this->note('in the catalogue again', $thing);
    }

    public function record(string $what): void
    {
        $this->note('as written down before', $what);
    }

    public function wanted(string $thing): void
    {
        $this->note('open on the list again', $thing);
    }

    public function offTheList(string $thing): void
    {
        $this->note('off the list again', $thing);
    }

    public function onTheList(string $thing): void
    {
        $this->note('on the list again', $thing);
    }

    public function listChanged(string $thing): void
    {
        $this->note('on the list as before', $thing);
    }

    public function kitGone(string $kit): void
    {
        $this->note('not planned any more', '“'.$kit.'”');
    }

    public function kitBack(string $kit): void
    {
        $this->note('planned again', '“'.$kit.'”');
    }

    public function kitIs(string $kit, string $stage): void
    {
        $this->note($stage.' again', '“'.$kit.'”');
    }

    public function placeGone(string $address): void
    {
        $this->note('gone again', $address);
    }

    public function placeBack(string $address): void
    {
        $this->note('in use again', $address);
    }

    public function renamed(string $now, string $again): void
    {
        $this->note('called '.$again.' again', $now);
    }

    public function asBefore(string $what): void
    {
        $this->note('as before', $what);
    }

    public function stays(string $sentence): void
    {
        $this->stays[] = $sentence;
    }

    public function isNothing(): bool
    {
        return [] === $this->said;
    }

    /** Returns the sentence, such as `Terns is back in C1 and open on the list again.` */
    public function sentence(): string
    {
        $byNames = [];
        foreach ($this->said as $what => $names) {
            $key = implode("\n", array_unique($names));
            $byNames[$key]['names'] = array_values(array_unique($names));
            $byNames[$key]['what'][] = $what;
        }
        $parts = array_map(static fn (array $group): string => Counted::sentence($group['names'], Counted::names($group['what'], 'thing', 9)), $byNames);

        return trim(ucfirst(implode('; ', $parts)).'. '.implode(' ', $this->stays));
    }

    private function note(string $what, string $name): void
    {
        $this->said[$what][] = $name;
    }
}
