<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

use Lottel\Core\Words\Counted;

/** Gathers what an undo put back, and says it: all of it, in one sentence. */
final class Undone
{
    /** @var array<string, array{string, string}> name and what is said of it, the last word of each matter */
    private array $said = [];

    /** @var list<string> sentences about what could not be taken back, and why */
    private array $stays = [];

    /** Returns what this and the other say together; where they speak of one matter, the other has the last word. */
    public function and(self $other): self
    {
        $both = new self();
        $both->said = [...$this->said, ...$other->said];
        $both->stays = [...$this->stays, ...$other->stays];

        return $both;
    }

    public function moved(string $thing, string $place): void
    {
        $this->note('in '.$place, 'back in '.$place, $thing);
    }

    /** A thing left the room again, to where it had come from. */
    public function left(string $thing, string $outside): void
    {
        $this->note('from '.$outside, 'not in the room any more, as before it was '.$outside, $thing);
    }

    public function home(string $thing, ?string $address): void
    {
        $this->note('home', null === $address ? 'without a home again' : 'at home in '.$address.' again', $thing);
    }

    public function outOfCatalogue(string $thing): void
    {
        $this->note('catalogue', 'out of the catalogue again', $thing);
    }

    public function backInCatalogue(string $thing): void
    {
        $this->note('catalogue', 'in the catalogue again', $thing);
    }

    public function record(string $what): void
    {
        $this->note('record', 'as written down before', $what);
    }

    public function wanted(string $thing): void
    {
        $this->note('list', 'open on the list again', $thing);
    }

    public function offTheList(string $thing): void
    {
        $this->note('list', 'off the list again', $thing);
    }

    public function onTheList(string $thing): void
    {
        $this->note('list', 'on the list again', $thing);
    }

    public function listChanged(string $thing): void
    {
        $this->note('list', 'on the list as before', $thing);
    }

    public function kitGone(string $kit): void
    {
        $this->note('kit', 'not planned any more', '“'.$kit.'”');
    }

    public function kitBack(string $kit): void
    {
        $this->note('kit', 'planned again', '“'.$kit.'”');
    }

    public function kitIs(string $kit, string $stage): void
    {
        $this->note('kit', $stage.' again', '“'.$kit.'”');
    }

    public function placeGone(string $address): void
    {
        $this->note('place', 'gone again', $address);
    }

    public function placeBack(string $address): void
    {
        $this->note('place', 'in use again', $address);
    }

    public function renamed(string $now, string $again): void
    {
        $this->note('place', 'called '.$again.' again', $now);
    }

    public function asBefore(string $what): void
    {
        $this->note('before', 'as before', $what);
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
        $words = $byNames = [];
        foreach ($this->said as [$name, $what]) {
            $words[$name][] = $what;
        }
        foreach ($words as $name => $said) {
            $byNames[implode("\n", $said)]['names'][] = (string) $name;
            $byNames[implode("\n", $said)]['what'] = $said;
        }
        $parts = array_map(static fn (array $group): string => Counted::sentence($group['names'], Counted::names($group['what'], 'thing', 9)), $byNames);

        return trim(ucfirst(implode('; ', $parts)).'. '.implode(' ', $this->stays));
    }

    private function note(string $matter, string $what, string $name): void
    {
        $key = $matter."\n".$name;
        unset($this->said[$key]);
        $this->said[$key] = [$name, $what];
    }
}
