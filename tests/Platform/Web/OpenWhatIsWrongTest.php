<?php

declare(strict_types=1);

namespace App\Tests\Platform\Web;

use App\Platform\Web\OpenWhatIsWrong;
use App\Tests\RoomTestCase;

/** A field in error is never folded away. */
final class OpenWhatIsWrongTest extends RoomTestCase
{
    public function testWhateverHoldsAnErrorIsOpened(): void
    {
        $error = '<span class="field-error" id="a">No.</span>';
        self::assertSame(
            "<details open><details class=\"x\" open>{$error}</details></details><details><p>fine</p></details>",
            OpenWhatIsWrong::opened("<details><details class=\"x\">{$error}</details></details><details><p>fine</p></details>"),
        );
        self::assertSame("<details open>{$error}</details>", OpenWhatIsWrong::opened("<details open>{$error}</details>"));
        self::assertSame("<details></details>{$error}", OpenWhatIsWrong::opened("<details></details>{$error}"), 'what is beside it stays as it is');
    }

    public function testAWrongSizeOfATitleIsSeenOnTheBoard(): void
    {
        $this->furnish();
        $kit = $this->planKit('Page', []);
        $this->postAndFollow("/kits/{$kit}/design/new", ['words' => '12 × 12 page, three 4 × 6 photos']);
        $form = $this->get("/kits/{$kit}/design")->filter('form')->reduce(
            static fn ($one): bool => str_contains((string) $one->attr('action'), '/design/') && 0 < $one->filter('input[name=kind][value=title]')->count(),
        );
        self::assertGreaterThan(0, $form->count());
        $page = $this->browser->submit($form->first()->form(), ['size' => 'large']);
        $this->assertCode(422);
        $inside = static fn (string $which): int => $page->filterXPath("//details[{$which}]//*[contains(@class, 'field-error')]")->count();
        self::assertSame(0, $inside('not(@open)'));
        self::assertGreaterThan(0, $inside('@open'));
    }
}
