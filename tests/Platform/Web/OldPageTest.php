<?php

declare(strict_types=1);

namespace App\Tests\Platform\Web;

use App\Tests\RoomTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\DomCrawler\Form;

/** A form that was opened before somebody else changed what it is about: what is not touched stays as it is by now. */
final class OldPageTest extends RoomTestCase
{
    public function testWhatIsNotTouchedKeepsWhatSomebodyElseWroteMeanwhile(): void
    {
        $this->furnish();
        $kit = $this->planKit('Tern cards', []);
        $old = $this->form("/kits/{$kit}", 'kit');
        $this->send($this->form("/kits/{$kit}", 'kit'), ['name' => 'Gull cards', 'due_on' => '2027-03-01']);
        $this->assertCode(303);
        $this->send($old, ['makes' => '6 cards for the fair']);
        $this->assertCode(303);
        $now = $this->kit($kit);
        self::assertSame(['Gull cards', '2027-03-01', '6 cards for the fair'], [$now->name, $now->dueOn?->format('Y-m-d'), $now->makes]);
    }

    public function testTheSameFieldIsToldWithBothValuesAndSentAgainItIsWritten(): void
    {
        $this->furnish();
        $kit = $this->planKit('Tern cards', []);
        $old = $this->form("/kits/{$kit}", 'kit');
        $this->send($this->form("/kits/{$kit}", 'kit'), ['name' => 'Gull cards', 'makes' => '4 cards']);
        $page = $this->send($old, ['name' => 'Plover cards']);
        $this->assertCode(422);
        self::assertStringContainsString('it is “Gull cards” now, and you wrote “Plover cards”', $page->filter('#kit-name-wrong, .wrong')->text());
        self::assertSame('Plover cards', $page->filter('#kit-name')->attr('value'), 'nothing that was typed is lost');
        self::assertSame('4 cards', $page->filter('#kit-makes')->attr('value'), 'the untouched field shows what it is by now');
        self::assertSame('Gull cards', $this->kit($kit)->name, 'nothing is written');
        $this->send($this->formOn($page, 'kit'), []);
        $this->assertCode(303);
        self::assertSame(['Plover cards', '4 cards'], [$this->kit($kit)->name, $this->kit($kit)->makes]);
    }

    public function testWhatBothWroteAlikeIsNoQuarrel(): void
    {
        $this->furnish();
        $kit = $this->planKit('Tern cards', []);
        $old = $this->form("/kits/{$kit}", 'kit');
        $this->send($this->form("/kits/{$kit}", 'kit'), ['makes' => '4 cards']);
        $this->send($old, ['makes' => '4 cards']);
        $this->assertCode(303);
    }

    public function testTicksOfBothAreKept(): void
    {
        $this->furnish();
        [$terns] = $this->putInto('C1', 'Terns');
        $url = "/items/{$terns->id}/edit";
        $old = $this->form($url, 'item');
        $other = $this->form($url, 'item');
        $this->post($url, ['hazards' => ['inky', 'hot']] + $this->values($other));
        $this->assertCode(303);
        $this->post($url, ['hazards' => ['blade']] + $this->values($old));
        $this->assertCode(303);
        $marks = $this->item((int) $terns->id)->hazards;
        sort($marks);
        self::assertSame(['blade', 'hot'], $marks, 'what each ticked is ticked, what one took off is off');
    }

    public function testAFormThatSaysNothingOfWhatItWasIsTakenAsItStands(): void
    {
        $this->furnish();
        $kit = $this->planKit('Tern cards', []);
        $form = $this->values($this->form("/kits/{$kit}", 'kit'));
        foreach (['', 'nonsense', '[1,[2],{"a":3}]', '"x"'] as $was) {
            $this->post("/kits/{$kit}", ['_was' => $was, 'name' => 'Tern cards '.mb_strlen($was)] + $form);
            $this->assertCode(303);
            self::assertSame('Tern cards '.mb_strlen($was), $this->kit($kit)->name);
        }
    }

    public function testEveryFormOfThisKindSaysWhatStandsInIt(): void
    {
        $this->furnish();
        [$terns] = $this->putInto('C1', 'Terns');
        $pages = ["/items/{$terns->id}/edit" => 'item', '/paper/trimmer' => 'trimmer', '/upkeep/people' => 'room', '/stores/places/C1' => 'describe',
            '/stores/units/C/change' => 'unit'];
        foreach ($pages as $path => $name) {
            $sent = $this->values($this->form($path, $name));
            self::assertIsString($sent['_was'], $path);
            $was = json_decode($sent['_was'], true);
            self::assertIsArray($was, $path);
            unset($sent['_was'], $sent['_form']);
            foreach ($sent as $field => $value) {
                self::assertEquals($value, $was[$field] ?? null, "{$path}: {$field}");
            }
        }
    }

    private function form(string $path, string $name): Form
    {
        return $this->formOn($this->get($path), $name);
    }

    private function formOn(Crawler $page, string $name): Form
    {
        return $page->filterXPath("//form[.//input[@name='_form' and @value='{$name}']]")->form();
    }

    /** @param array<string, string> $changed */
    private function send(Form $form, array $changed): Crawler
    {
        return $this->post($form->getUri(), $changed + $this->values($form));
    }

    /** @return array<string, mixed> what a browser would send, as a new request */
    private function values(Form $form): array
    {
        $values = [];
        foreach ($form->getPhpValues() as $name => $value) {
            $values[(string) $name] = $value;
        }

        return array_diff_key($values, ['_request' => 1]);
    }
}
